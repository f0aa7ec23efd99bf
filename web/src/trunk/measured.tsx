import type { Cohort } from '@gonimos/contract/cohorts';
import type { Measured as Sample } from '@gonimos/contract/trunk';
import { isOfBase } from '@gonimos/core/measuring';
import { fitCurve, sampleFor, type Fit } from '@gonimos/core/stats';
import { ringsOf, type Ring } from '@gonimos/core/trunk';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { length, measureText } from '../common/units';

const TALL = 200;
const TOP = 12;
const LOW = 24;
const LEFT = 30;
/** Part of a calendar year after which a ring is laid down. */
const RING_DONE = 0.85;
/** Calipers are wanted to about so much, mm. */
const WITHIN = 0.5;

const yearsOf = (iso: string): number => {
  const [y, m, d] = iso.split('-').map(Number);
  return y + (m - 1) / 12 + (d - 1) / 365;
};

/** The curve that lies nearest to the calipers; null with fewer than five dates. */
function curveOf(samples: readonly Sample[]): Fit | null {
  const xs = samples.map((s) => yearsOf(s.on) - yearsOf(samples[0].on));
  const ys = samples.map((s) => s.caliper);
  const fits = (['logistic', 'asymptotic'] as const).flatMap((c) => fitCurve(c, xs, ys) ?? []);
  return fits.toSorted((a, b) => a.sigma - b.sigma)[0] ?? null;
}

/** The last sample in words, and how many would tell more. */
function sampleWords(last: Sample, plants: number, today: string): string {
  const told = `${shortDate(last.on, today)}: ${length(last.caliper, 1)}`;
  if (last.sd === null)
    return `${told}, one figure for all. Measure some of them, and it is known how far they differ.`;
  const off = (1.96 * last.sd) / Math.sqrt(last.n);
  const need = sampleFor({ plants, sd: last.sd, within: WITHIN });
  return `${told} ± ${length(off, 1)} by ${plural(last.n, 'plant')} that differ by ${length(last.sd, 1)}. To know it to ± ${length(WITHIN, 1)}, measure ${need} of ${plants}.`;
}

interface Axes {
  x: (year: number) => number;
  y: (mm: number) => number;
}

/** What the kind grows: its middle, and one plant in ten either way. */
function Kind({ rings, x, y }: Axes & { rings: readonly Ring[] }) {
  const line = (of: 'slow' | 'fast' | 'caliper') =>
    rings.map((r) => `${x(r.season + RING_DONE)},${y(r[of])}`);
  return (
    <>
      <polygon points={[...line('fast'), ...line('slow').toReversed()].join(' ')} fill="var(--celadon)" />
      <polyline points={line('caliper').join(' ')} fill="none" stroke="var(--celadon-deep)" strokeWidth={2} />
    </>
  );
}

/** Means that were measured, with how plants differ. */
function Samples({ samples, x, y }: Axes & { samples: readonly Sample[] }) {
  return samples.map((s, i) => (
    <g key={i}>
      {s.sd !== null && (
        <line
          x1={x(yearsOf(s.on))}
          x2={x(yearsOf(s.on))}
          y1={y(s.caliper + s.sd)}
          y2={y(Math.max(0, s.caliper - s.sd))}
          stroke="currentColor"
          strokeWidth={1.5}
        />
      )}
      <circle cx={x(yearsOf(s.on))} cy={y(s.caliper)} r={4} fill="currentColor" />
    </g>
  ));
}

interface Props {
  cohort: Cohort;
  samples: readonly Sample[];
  today: string;
  width: number;
}

/** Calipers as they were measured, against what the kind grows. */
export function Measured({ cohort, samples: all, today, width }: Props) {
  const samples = all.filter((s) => isOfBase(s.at));
  const higher = all.findLast((s) => !isOfBase(s.at));
  const rings = ringsOf(cohort.rings).filter((r) => r.season <= Number(today.slice(0, 4)));
  if (rings.length === 0 || cohort.live === 0) return null;
  const from = rings[0].season;
  const to = rings.at(-1)!.season + 1;
  const most = Math.max(...rings.map((r) => r.fast), ...samples.map((s) => s.caliper));
  const x = (year: number) => LEFT + ((width - LEFT - 8) * (year - from)) / (to - from);
  const y = (mm: number) => TOP + (TALL - TOP - LOW) * (1 - mm / (1.08 * most));
  const fit = curveOf(samples);
  const last = samples.at(-1);
  const asym = fit?.parameters[0];
  return (
    <section aria-label="Measured so far">
      <h3 className="text-lg">Measured so far</h3>
      <p className="soft mb-2 max-w-prose">
        {last
          ? sampleWords(last, cohort.live, today)
          : 'No caliper yet: record a look, and measure some plants at the base.'}
        {higher &&
          ` Higher up: ${length(higher.caliper, 1)} at ${length(higher.at)} above the soil, ${shortDate(higher.on, today)}; only what is taken at the base pulls the years ahead.`}
        {asym &&
          ` ${samples.length} dates bear a curve: as things are it ends at ${length(asym.value)} ± ${length(asym.se)}.`}
      </p>
      <svg width={width} height={TALL} role="img" aria-label="Calipers measured, against what the kind grows">
        {[0, most / 2, most].map((mm) => (
          <g key={mm}>
            <line x1={LEFT} x2={width} y1={y(mm)} y2={y(mm)} stroke="var(--color-base-300)" />
            <text x={0} y={y(mm) + 4} className="soft fill-current font-mono text-xs">
              {measureText(Math.round(mm))}
            </text>
          </g>
        ))}
        <Kind rings={rings} x={x} y={y} />
        {fit && <Curve fit={fit} from={yearsOf(samples[0].on)} to={to} x={x} y={y} />}
        <Samples samples={samples} x={x} y={y} />
        {rings.map((r) => (
          <text
            key={r.season}
            x={x(r.season + 0.5)}
            y={TALL - 6}
            textAnchor="middle"
            className="soft fill-current font-mono text-xs"
          >
            {rings.length > 8 ? `’${String(r.season).slice(2)}` : r.season}
          </text>
        ))}
      </svg>
      <p className="soft text-sm">
        Band: one plant in ten slower to one in ten faster of its kind. Dots: means measured, with how plants
        differ.
      </p>
    </section>
  );
}

const POINTS = 40;

function Curve({ fit, from, to, x, y }: Axes & { fit: Fit; from: number; to: number }) {
  const points = Array.from({ length: POINTS + 1 }, (_, i) => {
    const since = ((to - from) * i) / POINTS;
    return `${x(from + since)},${y(Math.max(0, fit.at(since)))}`;
  });
  return <polyline points={points.join(' ')} fill="none" stroke="currentColor" strokeDasharray="5 4" />;
}
