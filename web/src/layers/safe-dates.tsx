import { scaleLinear } from 'd3-scale';
import type { ParentLayers } from '@gonimos/contract/layers';
import { daysBetween } from '@gonimos/core/calendar';
import { monthName, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';
import { HeightAxis } from '../common/axis';

const H = 230;
const LEFT = 56;
const BOTTOM = 28;
const FAR_TOO_LATE = -60;

/** Margin in days by the day a double layer is opened: above the line it is safe, below it freezes. */
export function SafeDates({ data, today }: { data: ParentLayers; today: string }) {
  const [ref, width] = useWidth<HTMLDivElement>(900);
  const all = data.calendar.flatMap((c) => (c.margin ? [{ on: c.on, ...c.margin }] : []));
  // far too late is late enough
  const end = all.findIndex((p) => p.p10 < FAR_TOO_LATE);
  const points = end < 0 ? all : all.slice(0, Math.max(2, end));
  if (points.length < 2)
    return <p className="card-plain soft p-6">Too cold here for a second filling on any day.</p>;
  const from = points[0].on;
  const middle = points[Math.floor(points.length * 0.55)];
  const high = Math.max(20, ...points.map((p) => Math.min(p.p50, 160))) + 15;
  const low = Math.min(-20, ...points.map((p) => Math.max(p.p10, -120)));
  const x = scaleLinear([0, daysBetween(from, points.at(-1)!.on)], [LEFT, width - 12]);
  const y = scaleLinear([low, high], [H - BOTTOM, 14]).clamp(true);
  const at = (on: string) => x(daysBetween(from, on));
  const line = (k: 'p10' | 'p50') => points.map((p, i) => `${i ? 'L' : 'M'}${at(p.on)} ${y(p[k])}`).join('');
  const text = { fontSize: 13, fill: 'var(--ink-soft)' };
  const openings = data.layers.filter(
    (l) =>
      l.decision &&
      l.state.stage !== 'severed' &&
      l.decision.opening >= from &&
      at(l.decision.opening) <= width - 12,
  );
  return (
    <div ref={ref} className="card-plain py-2">
      <svg
        width={width}
        height={H}
        role="img"
        aria-label={`Margin by opening date, safe until ${data.cutOff ?? 'no day'}`}
      >
        {data.cutOff && data.cutOff > from && (
          <rect
            x={LEFT}
            y={14}
            width={Math.max(0, at(data.cutOff) - LEFT)}
            height={H - BOTTOM - 14}
            fill="var(--celadon)"
            opacity={0.5}
          />
        )}
        <HeightAxis
          y={y}
          from={LEFT}
          to={width - 12}
          words={(t) => `${t > 0 ? `+${t}` : t} d`}
          nought="var(--color-base-content)"
        />
        {points
          .filter((p, i) => i === 0 || p.on.slice(5, 7) !== points[i - 1].on.slice(5, 7))
          .map((p) => (
            <text key={p.on} x={at(p.on)} y={H - 8} {...text}>
              {monthName(p.on)}
            </text>
          ))}
        <path
          d={line('p50')}
          fill="none"
          stroke="var(--celadon-deep)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        <path d={line('p10')} fill="none" stroke="var(--color-primary)" strokeWidth={3} />
        <text x={at(middle.on)} y={y(middle.p50) - 9} textAnchor="start" {...text}>
          middle year
        </text>
        <text
          x={at(middle.on)}
          y={y(middle.p10) + 24}
          textAnchor="end"
          {...text}
          fill="var(--color-primary)"
          fontWeight={700}
        >
          one year in ten worse
        </text>
        {data.cutOff && data.cutOff > from && (
          <text
            x={at(data.cutOff) + 6}
            y={28}
            fontSize={14}
            fontWeight={700}
            fill="var(--color-base-content)"
          >
            {shortDate(data.cutOff, today)}
          </text>
        )}
        {openings.map((l) => (
          <g key={l.code}>
            <line
              x1={at(l.decision!.opening)}
              x2={at(l.decision!.opening)}
              y1={14}
              y2={H - BOTTOM}
              stroke="var(--color-info)"
              strokeWidth={2}
            />
            <text
              x={at(l.decision!.opening) + 5}
              y={H - BOTTOM - 6}
              fontSize={13}
              fontWeight={700}
              fill="var(--color-info)"
            >
              {l.code}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
