import { scaleLinear } from 'd3-scale';
import type { Sowing } from '@gonimos/contract/seed';
import { daysBetween } from '@gonimos/core/calendar';
import { useWidth } from '../common/use-width';

const H = 170;
const LEFT = 38;
const BOTTOM = 26;

/** How many were up by day, as steps from look to look, with the day half of them were up. */
export function EmergenceChart({ sowing, today }: { sowing: Sowing; today: string }) {
  const [ref, width] = useWidth<HTMLDivElement>(380);
  const { points, up, t50 } = sowing.curve;
  const since = daysBetween(sowing.sownOn, today);
  const expected = sowing.expected === null ? 0 : daysBetween(sowing.sownOn, sowing.expected);
  const lastDay = Math.max(
    14,
    points.at(-1)?.day ?? 0,
    Math.min(since, (points.at(-1)?.day ?? since) + 14),
    points.length === 0 ? expected + 7 : 0,
  );
  const x = scaleLinear([0, lastDay], [LEFT, width - 8]);
  const y = scaleLinear([0, Math.max(sowing.sown, 1)], [H - BOTTOM, 12]);
  const steps = points.flatMap((p, i) => [
    `L${x(p.day)} ${y(i === 0 ? 0 : points[i - 1].up)}`,
    `L${x(p.day)} ${y(p.up)}`,
  ]);
  const line = `M${x(0)} ${y(0)}${steps.join('')}${points.length > 0 ? `L${x(Math.min(since, lastDay))} ${y(up)}` : ''}`;
  const text = { fontSize: 13, fill: 'var(--ink-soft)' };
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={H}
        role="img"
        aria-label={`${up} of ${sowing.sown} up${t50 === null ? '' : `, half of them after ${t50.toFixed(1)} days`}`}
      >
        <line
          x1={LEFT}
          x2={width - 8}
          y1={y(sowing.sown)}
          y2={y(sowing.sown)}
          stroke="var(--bark)"
          strokeDasharray="4 4"
        />
        <text x={LEFT - 6} y={y(sowing.sown) + 4} textAnchor="end" {...text}>
          {sowing.sown}
        </text>
        <text x={LEFT - 6} y={y(0) + 4} textAnchor="end" {...text}>
          0
        </text>
        <line x1={LEFT} x2={width - 8} y1={y(0)} y2={y(0)} stroke="var(--color-base-content)" />
        {x.ticks(5).map((d) => (
          <text key={d} x={x(d)} y={H - 8} textAnchor="middle" {...text}>
            {d === 0 ? 'sown' : `${d} d`}
          </text>
        ))}
        {points.length > 0 && (
          <path d={`${line}L${x(Math.min(since, lastDay))} ${y(0)}Z`} fill="var(--celadon)" stroke="none" />
        )}
        <path d={line} fill="none" stroke="var(--color-primary)" strokeWidth={2.5} />
        {points.length === 0 && expected > 0 && (
          <>
            <line
              x1={x(expected)}
              x2={x(expected)}
              y1={40}
              y2={y(0)}
              stroke="var(--color-primary)"
              strokeDasharray="2 4"
            />
            <text x={x(expected)} y={32} textAnchor="middle" {...text}>
              half expected
            </text>
          </>
        )}
        {t50 !== null && (
          <>
            <line
              x1={x(t50)}
              x2={x(t50)}
              y1={y(up / 2) - 24}
              y2={y(0)}
              stroke="var(--color-accent)"
              strokeWidth={2}
            />
            <text x={x(t50) + 6} y={y(up / 2) - 14} fontSize={14} fontWeight={700} fill="var(--color-accent)">
              half
            </text>
          </>
        )}
      </svg>
    </div>
  );
}
