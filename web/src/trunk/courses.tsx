import { CalendarCheck, Pencil } from 'lucide-react';
import { difference, outcomeOf, type Forecast, type LabStart, type Wish } from '@gonimos/core/lab';
import { percent, plural } from '@gonimos/core/words';
import { length, volume } from '../common/units';
import { Bands } from './bands';
import { scaleFor, Silhouettes, Years } from './silhouettes';
import { COLOURS, LETTERS, wishWords } from './wishes';

/** From so wide on, what a course is and what it comes to stand beside its stems, px. */
const BESIDE = 760;
const NAMES = 176;
const FIGURES = 208;
const GAPS = 32;
/** Room for the letter at the end of each curve, px. */
const END = 22;

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
      [
        o.scar && `${percent(o.scar.share)}, ${o.scar.shut ? `shut ${o.scar.shut}` : 'still open'}`,
        o.carved > 0 && `${o.carved} carved`,
      ]
        .filter(Boolean)
        .join('; ') || 'none',
    ],
    ['Mix', o.moves === 0 ? 'none, no move' : `${volume(o.litres)}, ${plural(o.moves, 'move')}`],
    ['Work', `${o.minutes} min a plant`],
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

interface Props {
  forecasts: readonly Forecast[];
  wishes: readonly Wish[];
  start: LabStart;
  /** of the page, px */
  wide: number;
  /** a year that is pointed at */
  year: number | null;
  onChange: (course: number) => void;
  /** takes a course into the plan; null for who may not */
  onAdopt: ((course: number) => void) | null;
}

/** Courses below each other, stems to one scale, and their calipers in one chart. */
export function Courses({ forecasts, wishes, start, wide, year, onChange, onAdopt }: Props) {
  const beside = wide >= BESIDE;
  const width = Math.max(240, (beside ? wide - NAMES - FIGURES - GAPS : wide) - END);
  const columns = beside ? 'grid-cols-[11rem_minmax(0,1fr)_13rem]' : '';
  const seasons = forecasts[0].band.length;
  return (
    <>
      <ol className="divide-y divide-base-300 border-y border-base-300">
        {forecasts.map((f, i) => (
          <li key={f.course.id} className={`grid gap-x-4 gap-y-2 py-3 ${columns}`}>
            <Name
              forecast={f}
              wish={wishes[i]}
              letter={LETTERS[i]}
              colour={COLOURS[i]}
              onChange={() => onChange(i)}
              onAdopt={onAdopt && (() => onAdopt(i))}
            />
            <div>
              {i === 0 && <Years years={f.band.map((b) => b.year)} width={width} />}
              <Silhouettes
                name={`${LETTERS[i]} ${f.course.name}`}
                forecast={f}
                width={width}
                scale={scaleFor(forecasts, width / seasons)}
                year={year}
              />
            </div>
            <Figures forecast={f} />
          </li>
        ))}
      </ol>
      <div className={`grid gap-x-4 gap-y-3 pt-4 ${columns}`}>
        <div>
          <h3 className="text-lg">Base caliper</h3>
          <p className="soft text-sm">
            middle of 1,000 runs, band one in ten to nine in ten; dotted: the goal
          </p>
        </div>
        <div style={{ paddingRight: END }}>
          <Bands forecasts={forecasts} goal={forecasts[0].goal!.mm} start={start} width={width} year={year} />
        </div>
        <Differences forecasts={forecasts} />
      </div>
    </>
  );
}

interface NameProps {
  forecast: Forecast;
  /** undefined while the courses are grown anew */
  wish: Wish | undefined;
  letter: string;
  colour: string;
  onChange: () => void;
  onAdopt: (() => void) | null;
}

function Name({ forecast, wish, letter, colour, onChange, onAdopt }: NameProps) {
  return (
    <div>
      <h3 className="text-lg leading-tight">
        <span
          className="mr-2 inline-block size-3.5 rounded-[3px] align-baseline"
          style={{ background: colour }}
        />
        {letter} {forecast.course.name}
      </h3>
      <p className="soft mt-1 text-sm">{wish && wishWords(wish)}</p>
      <p className="mt-1 flex flex-wrap gap-x-4">
        <button type="button" className="btn btn-ghost btn-sm gap-2 px-0" onClick={onChange}>
          <Pencil size={16} /> Change<span className="sr-only"> course {letter}</span>
        </button>
        {onAdopt && wish && (
          <button type="button" className="btn btn-ghost btn-sm gap-2 px-0" onClick={onAdopt}>
            <CalendarCheck size={16} /> Into the plan<span className="sr-only"> course {letter}</span>
          </button>
        )}
      </p>
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
