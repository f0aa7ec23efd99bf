import { HEIGHTS, type Forecast, type LabYear } from '@gonimos/core/lab';
import { length } from '../common/units';

/** Height that is drawn, mm: what stands above it goes on. */
const SHOWN = 330;
const TALL = 100;
const FOOT = 18;

/** Pixels to the millimetre at which the thickest of these stems still stands clear of its neighbours. */
export function scaleFor(forecasts: readonly Forecast[], each: number): number {
  const widest = Math.max(...forecasts.flatMap((f) => f.middle.map((y) => y.caliper)));
  return Math.min(TALL / SHOWN, (0.82 * each) / widest);
}

/** The outline of a stem, from its left foot round to its right one, px about its middle. */
function outline(y: LabYear, scale: number): string {
  const shown = TALL / scale;
  const top = Math.min(shown, y.height);
  const points = HEIGHTS.flatMap((h, j) => (h < top && y.stem[j] > 0 ? [{ h, d: y.stem[j] }] : []));
  const last = points.at(-1) ?? { h: 0, d: y.caliper };
  const tip = y.height > shown ? last.d : Math.min(last.d, 1.5);
  const all = [...points, { h: top, d: tip }];
  const at = (side: 1 | -1) => (p: { h: number; d: number }) =>
    `${((side * p.d) / 2) * scale},${TALL - p.h * scale}`;
  return [...all.map(at(-1)), ...all.toReversed().map(at(1))].join(' ');
}

interface Drawn {
  y: LabYear;
  scale: number;
  /** room for each year, px */
  each: number;
}

/** A sacrifice leaves the stem and goes up beside it. */
function Shoots({ y, scale, each }: Drawn) {
  return y.sacrifices.map((s) => {
    const w = Math.max(1, s.diameter * scale);
    const long = Math.min(14 + s.diameter * 1.6, each * 0.9);
    const from = `M ${(y.caliper / 2) * scale - w / 2} ${TALL - s.height * scale}`;
    const path = {
      d: `${from} q ${long * 0.6} ${-long * 0.2} ${long * 0.75} ${-long}`,
      fill: 'none',
      strokeLinecap: 'round' as const,
    };
    return (
      <g key={s.id}>
        <path {...path} stroke="var(--wood-line)" strokeWidth={w + 2} />
        <path {...path} stroke="var(--wood-pale)" strokeWidth={w} />
      </g>
    );
  });
}

function Scars({ y, scale }: Omit<Drawn, 'each'>) {
  return y.scars
    .filter((s) => s.open > 0.5 && s.height * scale < TALL)
    .map((s) => (
      <ellipse
        key={s.id}
        cx={s.id === 'chop' ? 0 : (y.caliper / 2) * scale * 0.6}
        cy={TALL - s.height * scale}
        rx={Math.max(1.5, (s.open / 2) * scale)}
        ry={Math.max(1.5, (s.open / 2) * scale * 0.7)}
        fill={s.carved ? 'var(--wood-pale)' : 'var(--color-accent)'}
        stroke={s.carved ? 'var(--wood-line)' : 'none'}
      />
    ));
}

function Stem({ y, scale, each, x }: Drawn & { x: number }) {
  return (
    <g transform={`translate(${x} 4)`}>
      <Shoots y={y} scale={scale} each={each} />
      <polygon points={outline(y, scale)} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={1} />
      <Scars y={y} scale={scale} />
    </g>
  );
}

interface Props {
  name: string;
  forecast: Forecast;
  width: number;
  /** px to the millimetre, the same for all courses */
  scale: number;
  /** a year that is pointed at */
  year: number | null;
}

/** The years over the stems below them. */
export function Years({ years, width }: { years: readonly number[]; width: number }) {
  const each = width / years.length;
  return (
    <svg width={width} height={18} aria-hidden="true">
      {years.map((y, i) => (
        <text
          key={y}
          x={each * (i + 0.5)}
          y={13}
          textAnchor="middle"
          className="soft fill-current font-mono text-xs"
        >
          {each < 44 ? `’${String(y).slice(2)}` : y}
        </text>
      ))}
    </svg>
  );
}

/** The stem of a course at the end of each season, all to one scale; millimetres at the base below. */
export function Silhouettes({ name, forecast, width, scale, year }: Props) {
  const { middle } = forecast;
  const each = width / middle.length;
  const often = each < 34 ? 2 : 1;
  const said = middle.map((y) => `${y.year}: ${length(y.caliper)}`).join(', ');
  return (
    <svg width={width} height={TALL + FOOT + 6} role="img" aria-label={`${name}, base by year: ${said}`}>
      <line x1={0} x2={width} y1={TALL + 4} y2={TALL + 4} stroke="var(--color-base-300)" />
      {middle.map((y, i) => (
        <g key={y.year} opacity={year === null || year === y.year ? 1 : 0.35}>
          <Stem y={y} scale={scale} each={each} x={each * (i + 0.5)} />
          {i % often === 0 && (
            <text
              x={each * (i + 0.5)}
              y={TALL + FOOT + 2}
              textAnchor="middle"
              className="fill-current font-mono text-xs"
            >
              {Math.round(y.caliper)}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
