import { Play, Plus, Search, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { TrunkLab } from '@gonimos/contract/trunk';
import { goalFault, SEASONS, type OwnGrowth, type Wish } from '@gonimos/core/lab';
import { plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { length, unit } from '../common/units';
import { useWidth } from '../common/use-width';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { AdoptSheet } from './adopt-sheet';
import { Courses } from './courses';
import { GroundRow } from './ground-row';
import { Measured } from './measured';
import { useTrunkLab } from './queries';
import { SearchSheet } from './search-sheet';
import { useForecasts } from './use-forecasts';
import { WishSheet } from './wish-sheet';
import { firstWishes, keepWishes, keptWishes, LETTERS, MOST } from './wishes';

/** What its own measurements have taught. */
function growthWords({ mean, n }: OwnGrowth): string {
  if (n === 0) return 'Estimates: from two dates on, its own calipers pull them.';
  const by = Math.round(100 * Math.abs(mean - 1));
  const how = by < 2 ? 'as its kind' : `${by} % ${mean > 1 ? 'faster' : 'slower'} than its kind`;
  return `It grows ${how}, by ${plural(n, 'stretch', 'stretches')} between its own calipers; the rest is estimates.`;
}

const PLAY_MS = 700;

/** What each way of thickening does to the trunk, up to four courses side by side. */
export function TrunkPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useTrunkLab(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Lab key={cohort.id} cohort={cohort} lab={data} today={today} />;
}

/** The year that is pointed at while the years are played through; null when all are shown alike. */
function usePlay(first: number, seasons: number) {
  const [year, setYear] = useState<number | null>(null);
  useEffect(() => {
    if (year === null) return;
    const next = setTimeout(() => setYear(year + 1 < first + seasons ? year + 1 : null), PLAY_MS);
    return () => clearTimeout(next);
  }, [year, first, seasons]);
  return { year, toggle: () => setYear(year === null ? first : null) };
}

function Lab({ cohort, lab, today }: { cohort: Cohort; lab: TrunkLab; today: string }) {
  const { start } = lab;
  const [wishes, setWishes] = useState<Wish[]>(() => keptWishes(cohort.id) ?? firstWishes(start, lab.row));
  const [goal, setGoal] = useState<number | undefined>(
    lab.goal !== null && lab.goal > start.caliper ? lab.goal : Math.ceil((start.caliper * 2) / 5) * 5,
  );
  const [open, setOpen] = useState<number | 'search' | null>(null);
  const [adopting, setAdopting] = useState<Wish | null>(null);
  const may = useMay('grower');
  const [box, wide] = useWidth<HTMLDivElement>(900);
  const fault = goalFault(goal ?? NaN, start);
  const { forecasts, stale } = useForecasts(
    start,
    wishes,
    SEASONS,
    fault === null ? goal! : null,
    lab.growth,
  );
  const play = usePlay(start.year, SEASONS);
  const put = (all: Wish[]) => {
    setWishes(all);
    keepWishes(cohort.id, all);
    setOpen(null);
  };
  return (
    <div ref={box} className="grid grid-cols-[minmax(0,1fr)] gap-5">
      <header className="flex flex-wrap items-end justify-between gap-3">
        <div className="min-w-72 max-w-prose flex-1">
          <h2 className="text-xl">Courses side by side</h2>
          <p className="soft">
            {length(start.caliper)} at the base today; the same cohort, weather and luck for every course.{' '}
            {growthWords(lab.growth)}
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-2">
          <Field label={`Goal at the base, ${unit('length')}`} error={fault ?? undefined} className="w-52">
            <MeasureInput quantity="length" value={goal} onChange={setGoal} />
          </Field>
          <button type="button" className="btn btn-ghost gap-2 border border-base-300" onClick={play.toggle}>
            {play.year === null ? <Play size={18} /> : <Square size={18} />}
            {play.year === null ? 'Play the years' : String(play.year)}
          </button>
          <button
            type="button"
            className="btn btn-primary gap-2"
            disabled={fault !== null}
            onClick={() => setOpen('search')}
          >
            <Search size={18} /> Find a course
          </button>
          {wishes.length < MOST && (
            <button
              type="button"
              className="btn btn-ghost gap-2 border border-base-300"
              onClick={() => put([...wishes, { ...wishes.at(-1)!, name: 'Another course' }])}
            >
              <Plus size={18} /> Course
            </button>
          )}
        </div>
      </header>
      {!forecasts ? (
        <Loading error={null} />
      ) : (
        <div className={stale ? 'opacity-60' : ''} aria-busy={stale}>
          <Courses
            forecasts={forecasts}
            wishes={wishes}
            start={start}
            wide={wide}
            year={play.year}
            onChange={setOpen}
            onAdopt={may ? (i) => setAdopting(wishes[i]) : null}
          />
        </div>
      )}
      <GroundRow start={start} row={lab.row} plants={cohort.live} />
      <Measured cohort={cohort} samples={lab.measured} today={today} width={Math.min(wide, 900)} />
      {adopting && (
        <AdoptSheet
          cohort={cohort}
          wish={adopting}
          goal={fault === null ? goal! : null}
          today={today}
          onClose={() => setAdopting(null)}
        />
      )}
      {open === 'search' && (
        <SearchSheet
          start={start}
          growth={lab.growth}
          goal={goal!}
          seasons={SEASONS}
          // where four stand side by side already, the last gives way
          onPick={(w) => put([...wishes.slice(0, MOST - 1), w])}
          onClose={() => setOpen(null)}
        />
      )}
      {typeof open === 'number' && wishes[open] && (
        <WishSheet
          wish={wishes[open]}
          letter={LETTERS[open]}
          start={start}
          seasons={SEASONS}
          onKeep={(w) => put(wishes.map((x, k) => (k === open ? w : x)))}
          onDrop={wishes.length > 1 ? () => put(wishes.filter((_, k) => k !== open)) : null}
          onClose={() => setOpen(null)}
        />
      )}
    </div>
  );
}
