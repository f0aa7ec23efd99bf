import { plural } from '@gonimos/core/words';
import { Eye } from 'lucide-react';
import { useState } from 'react';
import { usePlaceName } from '../nursery/queries';
import { useMay } from '../people/session';
import { SeeSheet } from '../observations/see-sheet';
import { InTurn } from '../common/after-paint';
import { shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { Station } from '../station/station';
import { Bands } from './bands';
import { Frost } from './frost';
import { ImportRecord } from './import';
import { Markers, Seen } from './markers';
import { usePlaceChoice } from './place-choice';
import { useSeason } from './queries';
import { Sums } from './sums';
import { temperature, warmth } from '../common/units';

/** What the season engine knows of a place, and what the grower sees of it. */
export function Season() {
  const [place] = usePlaceChoice();
  const { data: season, error } = useSeason(place);
  const placeName = usePlaceName();
  const may = useMay('grower');
  const [seeing, setSeeing] = useState(false);
  if (!season) return <Loading error={error} />;
  return (
    <div className="grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-8 px-4 py-6 lg:px-6">
      <header className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="text-3xl">
            Season {season.year}
            <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
              {placeName(season.placeId)}
            </span>
          </h1>
          <p className="soft mt-1 max-w-prose">
            From two hundred weather years of this climate
            {season.recordTo
              ? `, joined to the record up to ${shortDate(season.recordTo, season.today)}`
              : ''}
            . A span holds eight years of ten.
          </p>
        </div>
        <button type="button" className="btn btn-primary btn-tall gap-2" onClick={() => setSeeing(true)}>
          <Eye size={20} /> I see this today
        </button>
      </header>
      <InTurn>
        <Station />
        <section className="card-plain p-4">
          <Bands season={season} />
        </section>
        <Seen season={season} />
        <Markers season={season} />
        <section className="grid gap-4 lg:grid-cols-2">
          <InTurn>
            <Sums
              season={season}
              of="degreeDays"
              title={`Degree days above ${temperature(5)}`}
              measured={warmth}
            />
            <Sums
              season={season}
              of="chill"
              title={`Days of cold, mean below ${temperature(5)}`}
              measured={(n) => plural(Math.round(n), 'day')}
            />
          </InTurn>
        </section>
        <Frost season={season} />
        {may && <ImportRecord today={season.today} />}
      </InTurn>
      {seeing && <SeeSheet placeId={season.placeId} today={season.today} onClose={() => setSeeing(false)} />}
    </div>
  );
}
