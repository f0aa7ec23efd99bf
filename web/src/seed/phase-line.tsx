import { scaleLinear } from 'd3-scale';
import type { SeedLot } from '@gonimos/contract/seed';
import { daysBetween } from '@gonimos/core/calendar';
import { shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';

const FILL: Record<string, string> = {
  soak: 'var(--color-info)',
  warm: 'var(--due)',
  cold: 'var(--cold)',
  sow: 'var(--celadon)',
};
const EDGE: Record<string, string> = {
  soak: 'var(--color-info)',
  warm: 'var(--color-accent)',
  cold: 'var(--color-info)',
  sow: 'var(--color-primary)',
};
const NARROW = 70;

/** Soaking, warm, cold and sowing on one line of days, today marked. */
export function PhaseLine({ phases, today }: { phases: SeedLot['phases']; today: string }) {
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const from = phases[0].from < today ? phases[0].from : today;
  const days = Math.max(10, daysBetween(from, phases.at(-1)!.to));
  const x = scaleLinear([0, days], [2, width - 2]);
  const at = (on: string) => x(daysBetween(from, on));
  const now = at(today);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={40}
        role="img"
        aria-label={phases.map((p) => `${p.what} from ${p.from}`).join(', ')}
      >
        {phases.map((p) => {
          const w = Math.max(4, at(p.to) - at(p.from));
          return (
            <g key={p.what}>
              <rect x={at(p.from)} y={8} width={w} height={24} fill={FILL[p.what]} stroke={EDGE[p.what]} />
              {w > NARROW && (
                <text
                  x={at(p.from) + 8}
                  y={25}
                  fontSize={14}
                  fontWeight={600}
                  fill="var(--color-base-content)"
                >
                  {p.what}
                </text>
              )}
            </g>
          );
        })}
        <line x1={now} x2={now} y1={0} y2={40} stroke="var(--color-accent)" strokeWidth={2.5} />
      </svg>
      <p className="text-sm">
        {phases.map((p, i) => (
          <span key={p.what}>
            {i > 0 && ' · '}
            <strong>{p.what}</strong> from {shortDate(p.from, today)}
            {p.what === 'sow' && ` to ${shortDate(p.to, today)}`}
          </span>
        ))}
      </p>
    </div>
  );
}
