import { Pencil, Play, Plus, Search, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { TrunkLab } from '@gonimos/contract/trunk';
import {
  difference,
  goalFault,
  outcomeOf,
  type Forecast,
  type OwnGrowth,
  type Wish,
} from '@gonimos/core/lab';
import { percent, plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { length, unit, volume } from '../common/units';
import { useWidth } from '../common/use-width';
import { Bands } from './bands';
import { useTrunkLab } from './queries';
import { SearchSheet } from './search-sheet';
import { scaleFor, Silhouettes } from './silhouettes';
import { useForecasts } from './use-forecasts';
import { WishSheet } from './wish-sheet';
import { COLOURS, firstWishes, keepWishes, keptWishes, LETTERS, MOST, wishWords } from './wishes';

/** What its own measurements have taught. */
function growthWords({ mean, n }: OwnGrowth): string {
  if (n === 0) return 'Estimates: from two dates on, its own calipers pull them.';
  const by = Math.round(100 * Math.abs(mean - 1));
  const how = by < 2 ? 'as its kind' : `${by} % ${mean > 1 ? 'faster' : 'slower'} than its kind`;
  return `It grows ${how}, by ${plural(n, 'stretch', 'stretches')} between its own calipers; the rest is estimates.`;
}

const SEASONS = 10;
/** Room for the letter at the end of each curve, px. */
const END = 22;
const PLAY_MS = 700;

/** What each way of thickening does to the trunk, up to four courses side by side. */
export function TrunkPart() {
  const cohort = useOutletContext<Cohort>();
  const { data, error } = useTrunkLab(cohort.id);
  if (!data) return <Loading error={error} />;
  return <Lab key={cohort.id} cohort={cohort} lab={data} />;
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

function Figures({ forecast }: { forecast: Forecast }) {
  const o = outcomeOf(forecast);
  const rows: [string, string][] = [
    [
      length(forecast.goal!.mm),
      o.reached === null ? `not in ${forecast.band.length} years` : `end of ${o.reached}`,
    ],
    ['In time', `${Math.round(o.share * 10)} runs of 10`],
    ['Taper', o.taper.toFixed(2)],
    [
      'Scar',
      o.scar ? `${percent(o.scar.share)}, ${o.scar.shut ? `shut ${o.scar.shut}` : 'still open'}` : 'none',
    ],
    ['Mix', o.moves === 0 ? 'none, no move' : `${volume(o.litres)}, ${plural(o.moves, 'move')}`],
    ['Reserve', `never under ${percent(o.reserve)}`],
  ];
  return (
    <dl className="grid grid-cols-[auto_minmax(0,1fr)] content-center gap-x-3 gap-y-0.5 text-sm">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="soft">{name}</dt>
          <dd className="text-right font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function Lab({ cohort, lab }: { cohort: Cohort; lab: TrunkLab }) {
  const { start } = lab;
  const [wishes, setWishes] = useState<Wish[]>(() => keptWishes(cohort.id) ?? firstWishes(start));
  const [goal, setGoal] = useState<number | undefined>(
    lab.goal !== null && lab.goal > start.caliper ? lab.goal : Math.ceil((start.caliper * 2) / 5) * 5,
  );
  const [open, setOpen] = useState<number | 'search' | null>(null);
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
  // beside each other at a desk, below each other in one hand
  const across = wide >= 760 ? wide - 176 - 208 - 32 : wide;
  const width = Math.max(240, across - END);
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
          <ol className="divide-y divide-base-300 border-y border-base-300">
            {forecasts.map((f, i) => (
              <li
                key={f.course.id}
                className={`grid gap-x-4 gap-y-2 py-3 ${wide >= 760 ? 'grid-cols-[11rem_minmax(0,1fr)_13rem]' : ''}`}
              >
                <div>
                  <h3 className="text-lg leading-tight">
                    <span
                      className="mr-2 inline-block size-3.5 rounded-[3px] align-baseline"
                      style={{ background: COLOURS[i] }}
                    />
                    {LETTERS[i]} {f.course.name}
                  </h3>
                  <p className="soft mt-1 text-sm">{wishes[i] && wishWords(wishes[i])}</p>
                  <button
                    type="button"
                    className="btn btn-ghost btn-sm mt-1 gap-2 px-0"
                    onClick={() => setOpen(i)}
                  >
                    <Pencil size={16} /> Change<span className="sr-only"> course {LETTERS[i]}</span>
                  </button>
                </div>
                <Silhouettes
                  name={`${LETTERS[i]} ${f.course.name}`}
                  forecast={f}
                  width={width}
                  scale={scaleFor(forecasts, width / SEASONS)}
                  year={play.year}
                />
                <Figures forecast={f} />
              </li>
            ))}
          </ol>
          <div
            className={`grid gap-x-4 gap-y-3 pt-4 ${wide >= 760 ? 'grid-cols-[11rem_minmax(0,1fr)_13rem]' : ''}`}
          >
            <div>
              <h3 className="text-lg">Base caliper</h3>
              <p className="soft text-sm">
                middle of 1,000 runs, band one in ten to nine in ten; dotted: the goal
              </p>
            </div>
            <div style={{ paddingRight: END }}>
              <Bands
                forecasts={forecasts}
                goal={forecasts[0].goal!.mm}
                start={start}
                width={width}
                year={play.year}
              />
            </div>
            <Differences forecasts={forecasts} />
          </div>
        </div>
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

/** How each course differs from the first. */
function Differences({ forecasts }: { forecasts: readonly Forecast[] }) {
  const [first, ...others] = forecasts.map(outcomeOf);
  return (
    <div className="grid content-start gap-2 text-sm">
      {others.map((o, i) => (
        <p key={forecasts[i + 1].course.id}>{difference('A', first, LETTERS[i + 1], o)}</p>
      ))}
    </div>
  );
}
