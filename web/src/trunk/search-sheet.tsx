import { useState } from 'react';
import {
  LEASTS,
  type Aim,
  type Found,
  type LabStart,
  type Least,
  type OwnGrowth,
  type Wish,
} from '@gonimos/core/lab';
import { percent, plural } from '@gonimos/core/words';
import { duration } from '../common/dates';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { Sheet } from '../common/sheet';
import { length, unit, volume } from '../common/units';
import { useSearch } from './use-search';
import { wishWords } from './wishes';

const LEAST_WORDS: Record<Least, string> = {
  years: 'years',
  minutes: 'work',
  litres: 'mix',
};
/** Courses listed at first. */
const LISTED = 12;

const CHART = { width: 440, height: 150, left: 44, low: 26 };

/** Years against work; the larger the mark, the wider the scar. */
function Unbeaten({ found, chosen }: { found: readonly Found[]; chosen: Found | null }) {
  const years = found.map((f) => f.reached);
  const [from, to] = [Math.min(...years), Math.max(...years)];
  const most = Math.max(...found.map((f) => f.minutes), 1);
  const { width, height, left, low } = CHART;
  const x = (year: number) => left + ((width - left - 16) * (year - from + 0.5)) / (to - from + 1);
  const y = (minutes: number) => 12 + (height - low - 20) * (1 - minutes / most);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
      role="img"
      aria-label={`${plural(found.length, 'course')} that no other beats, by year and work`}
    >
      <line x1={left} x2={width} y1={height - low} y2={height - low} stroke="var(--color-base-300)" />
      <text x={0} y={16} className="soft fill-current text-xs">
        {duration(most)}
      </text>
      {Array.from({ length: to - from + 1 }, (_, i) => (
        <text
          key={i}
          x={x(from + i)}
          y={height - 8}
          textAnchor="middle"
          className="soft fill-current font-mono text-xs"
        >
          {from + i}
        </text>
      ))}
      {found.map((f, i) => (
        <circle
          key={i}
          cx={x(f.reached)}
          cy={y(f.minutes)}
          r={4 + 6 * f.scar}
          fill={f === chosen ? 'var(--color-primary)' : 'var(--celadon-deep)'}
          opacity={f === chosen ? 1 : 0.6}
        />
      ))}
    </svg>
  );
}

interface Props {
  start: LabStart;
  growth: OwnGrowth;
  goal: number;
  seasons: number;
  onPick: (w: Wish) => void;
  onClose: () => void;
}

/** Looks through thousands of courses for those that no other beats. */
export function SearchSheet({ start, growth, goal, seasons, onPick, onClose }: Props) {
  const [least, setLeast] = useState<Least>('years');
  const [scar, setScar] = useState(100);
  const [carve, setCarve] = useState(false);
  const [height, setHeight] = useState<number | undefined>();
  const [chosen, setChosen] = useState<Found | null>(null);
  const [most, setMost] = useState(LISTED);
  const { progress, found, begin, stop } = useSearch(start, growth);
  const wrong = {
    scar: scar >= 0 && scar <= 100 ? undefined : 'is not from 0 to 100 %',
    height:
      height === undefined || (height >= 50 && height <= 10_000) ? undefined : 'is not from 50 mm to 10 m',
  };
  const aim: Aim = {
    mm: goal,
    seasons,
    least,
    scar: scar >= 100 ? null : scar / 100,
    height: height ?? null,
    carve,
  };
  return (
    <Sheet
      title="Find a course"
      sub={`to ${length(goal)} at the base in ${seasons} years`}
      onClose={onClose}
      foot={
        progress !== null ? (
          <div className="grid gap-2">
            <progress
              className="progress progress-primary w-full"
              value={progress}
              max={1}
              aria-label="Searching"
            />
            <button type="button" className="btn btn-outline btn-tall w-full" onClick={stop}>
              Stop
            </button>
          </div>
        ) : (
          <button
            type="button"
            className="btn btn-primary btn-tall w-full"
            disabled={Object.values(wrong).some(Boolean)}
            onClick={() => {
              setChosen(null);
              begin(aim);
            }}
          >
            Search
          </button>
        )
      }
    >
      <div className="grid gap-5">
        <Field label="By the least">
          <select className="select" value={least} onChange={(e) => setLeast(e.target.value as Least)}>
            {LEASTS.map((l) => (
              <option key={l} value={l}>
                {LEAST_WORDS[l]}
              </option>
            ))}
          </select>
        </Field>
        <div className="grid grid-cols-2 gap-3">
          <Field label="Scar still open then" hint="% of the stem there" error={wrong.scar}>
            <NumberInput value={scar} onChange={setScar} />
          </Field>
          <Field label="Tallest then" hint={`${unit('length')}; empty: any`} error={wrong.height}>
            <MeasureInput quantity="length" value={height} onChange={setHeight} />
          </Field>
        </div>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={carve}
            onChange={(e) => setCarve(e.target.checked)}
          />
          Scars may be carved, and then count as none
        </label>
        {found?.length === 0 && (
          <p>No course that is tried gets there: give it a thinner goal, a wider scar, or more height.</p>
        )}
        {found && found.length > 0 && (
          <section aria-label="Found">
            <Unbeaten found={found} chosen={chosen} />
            <p className="soft mb-2 text-sm">
              {plural(found.length, 'course')} of thousands that no other beats in years, work, mix and scar
              at once. The larger a mark, the wider the scar.
            </p>
            <ul className="divide-y divide-base-300 border-y border-base-300">
              {found.slice(0, most).map((f, i) => (
                <li key={i} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3 py-2">
                  <div onPointerEnter={() => setChosen(f)}>
                    <strong>End of {f.reached}</strong>, {duration(f.minutes)} and{' '}
                    {f.litres > 0 ? volume(f.litres) : 'no mix'} a plant,{' '}
                    {f.scar > 0.005 ? `scar ${percent(f.scar)} open` : 'no open scar'},{' '}
                    {Math.round(f.share * 10)} runs of 10
                    <span className="soft block text-sm">{wishWords(f.wish)}</span>
                  </div>
                  <button
                    type="button"
                    className="btn btn-ghost border border-base-300"
                    onFocus={() => setChosen(f)}
                    onClick={() => onPick({ ...f.wish, name: `Found: ${f.reached}` })}
                  >
                    Set beside<span className="sr-only">, {i + 1}</span>
                  </button>
                </li>
              ))}
            </ul>
            {found.length > most && (
              <button type="button" className="btn btn-outline mt-3" onClick={() => setMost(found.length)}>
                Show all {found.length}
              </button>
            )}
          </section>
        )}
      </div>
    </Sheet>
  );
}
