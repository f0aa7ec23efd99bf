import type { Forecast } from '@gonimos/core/lab';
import { measureText } from '../common/units';
import { COLOURS, LETTERS } from './wishes';

const TALL = 220;
const TOP = 10;
const LOW = 22;

/** Round steps for an axis that ends at `most`. */
function ticks(most: number): number[] {
  const step = [5, 10, 20, 25, 50, 100].find((s) => most / s <= 5) ?? 200;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
}

interface Props {
  forecasts: readonly Forecast[];
  goal: number;
  /** calipers measured, by calendar year and part of it */
  start: { year: number; caliper: number };
  width: number;
  year: number | null;
}

/** Calipers at the base: the middle of all runs, and a band from one in ten less to one in ten more. */
export function Bands({ forecasts, goal, start, width, year }: Props) {
  const seasons = forecasts[0].band.length;
  const most = 1.05 * Math.max(goal, ...forecasts.flatMap((f) => f.band.map((b) => b.p90)));
  const each = width / seasons;
  const x = (i: number) => each * (i + 0.5);
  const y = (mm: number) => TOP + (TALL - TOP - LOW) * (1 - mm / most);
  const from = `${x(-0.5)},${y(start.caliper)}`;
  const line = (f: Forecast, of: 'p10' | 'p50' | 'p90') => f.band.map((b, i) => `${x(i)},${y(b[of])}`);
  return (
    <svg width={width} height={TALL} role="img" aria-label="Caliper at the base by year and course">
      {ticks(most).map((mm) => (
        <g key={mm}>
          <line x1={0} x2={width} y1={y(mm)} y2={y(mm)} stroke="var(--color-base-300)" />
          <text x={2} y={y(mm) - 3} className="soft fill-current font-mono text-xs">
            {measureText(mm)}
          </text>
        </g>
      ))}
      {year !== null && (
        <line
          x1={x(year - start.year)}
          x2={x(year - start.year)}
          y1={TOP}
          y2={TALL - LOW}
          stroke="currentColor"
          strokeDasharray="2 3"
        />
      )}
      {forecasts.map((f, i) => (
        <polygon
          key={f.course.id}
          points={[from, ...line(f, 'p90'), ...line(f, 'p10').toReversed()].join(' ')}
          fill={COLOURS[i]}
          opacity={0.16}
        />
      ))}
      {forecasts.map((f, i) => (
        <g key={f.course.id}>
          <polyline
            points={[from, ...line(f, 'p50')].join(' ')}
            fill="none"
            stroke={COLOURS[i]}
            strokeWidth={2.5}
          />
          <text
            x={x(seasons - 1) + 8}
            y={y(f.band.at(-1)!.p50) + 4}
            fill={COLOURS[i]}
            className="text-sm font-bold"
          >
            {LETTERS[i]}
          </text>
        </g>
      ))}
      <line x1={0} x2={width} y1={y(goal)} y2={y(goal)} stroke="currentColor" strokeDasharray="2 4" />
      {forecasts[0].band.map((b, i) => (
        <text
          key={b.year}
          x={x(i)}
          y={TALL - 6}
          textAnchor="middle"
          className="soft fill-current font-mono text-xs"
        >
          {each < 44 ? `’${String(b.year).slice(2)}` : b.year}
        </text>
      ))}
    </svg>
  );
}
