import { percent } from '@gonimos/core/words';
import { scaleLinear } from 'd3-scale';
import type { Comparison } from '@gonimos/contract/comparison';
import { useWidth } from '../common/use-width';

const ROW = 74;
const LEFT = 150;

/** A line for each group: its trays as dots, as large as they are full, its rate and the interval that respects trays. */
export function RateChart({ rates, units, came }: Pick<Comparison, 'rates' | 'units' | 'came'>) {
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const left = width < 480 ? 96 : LEFT;
  const x = scaleLinear([0, 1], [left, width - 60]);
  const height = rates.groups.length * ROW + 40;
  const largest = Math.max(...units.map((u) => u.n), 1);
  const text = { fontSize: 13, fill: 'var(--ink-soft)' };
  return (
    <div ref={ref} className="card-plain">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={rates.groups
          .map((g) => `${g.group}: ${percent(g.share.value)} ${came}, ${g.k} of ${g.n}`)
          .join('; ')}
      >
        {[0, 0.25, 0.5, 0.75, 1].map((t) => (
          <g key={t}>
            <line x1={x(t)} x2={x(t)} y1={10} y2={height - 30} stroke="var(--color-base-300)" />
            <text x={x(t)} y={height - 10} textAnchor="middle" {...text}>
              {t * 100} % {t === 1 && width > 480 ? came : ''}
            </text>
          </g>
        ))}
        {rates.groups.map((g, i) => {
          const y = 14 + i * ROW + ROW / 2;
          const own = units.filter((u) => u.group === g.group);
          return (
            <g key={g.group}>
              <text x={14} y={y - 4} fontSize={16} fontWeight={700} fill="var(--color-base-content)">
                {g.group}
              </text>
              <text x={14} y={y + 15} {...text}>
                {g.k} of {g.n}
              </text>
              <line
                x1={x(g.share.low)}
                x2={x(g.share.high)}
                y1={y}
                y2={y}
                stroke="var(--color-primary)"
                strokeWidth={10}
                strokeOpacity={0.28}
              />
              {own.map((u, k) => (
                <circle
                  key={`${u.cohortId} ${u.tray}`}
                  cx={x(u.k / u.n)}
                  cy={y + ((k % 3) - 1) * 13}
                  r={3 + 4 * Math.sqrt(u.n / largest)}
                  fill="var(--wood)"
                  stroke="var(--wood-line)"
                >
                  <title>{`${u.code}${u.tray ? ` tray ${u.tray}` : ''}: ${u.k} of ${u.n}`}</title>
                </circle>
              ))}
              <line
                x1={x(g.share.value)}
                x2={x(g.share.value)}
                y1={y - 20}
                y2={y + 20}
                stroke="var(--color-primary)"
                strokeWidth={3.5}
              />
              <text
                x={x(g.share.value)}
                y={y - 25}
                textAnchor="middle"
                fontSize={14}
                fontWeight={700}
                fill="var(--color-primary)"
              >
                {percent(g.share.value)}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
