import { pathOf, potLine, spotAt, type RootRecord, type Room } from '@gonimos/core/roots';
import { length } from '../common/units';

/** Rings of distance, where north is, and where the front looks to. */
export function Ground({ reach, record }: { reach: number; record: RootRecord }) {
  const step = reach > 240 ? 100 : reach > 110 ? 50 : 20;
  const rings = Array.from({ length: Math.floor((reach * 0.97) / step) }, (_, i) => (i + 1) * step);
  const size = reach / 24;
  const front = spotAt({ azimuth: record.front, out: reach * 0.93 });
  return (
    <g>
      {rings.map((r) => (
        <g key={r}>
          <circle r={r} fill="none" stroke="var(--color-base-300)" strokeWidth={reach / 400} />
          <text x={r * 0.72 + 1} y={-r * 0.72} fontSize={size * 0.85} fill="var(--ink-soft)">
            {length(r)}
          </text>
        </g>
      ))}
      <text
        y={-reach * 0.92}
        textAnchor="middle"
        fontSize={size * 1.1}
        fontWeight={700}
        fill="var(--ink-soft)"
      >
        N
      </text>
      <g transform={`translate(${front.x} ${-front.y})`}>
        <path
          d={`M0 ${-size * 0.7}L${size * 0.7} ${size * 0.5}H${-size * 0.7}Z`}
          transform={`rotate(${record.front + 180})`}
          fill="var(--color-base-content)"
        />
        <text x={size} y={size * 0.4} fontSize={size} fontWeight={700} fill="var(--color-base-content)">
          front
        </text>
      </g>
    </g>
  );
}

/** The inside of the pot as the trunk stands in it. */
export function PotLine({ room, reach }: { room: Room; reach: number }) {
  return (
    <path
      d={`${pathOf(potLine(room))}Z`}
      fill="none"
      stroke="var(--bark)"
      strokeWidth={reach / 110}
      strokeDasharray={`${reach / 40} ${reach / 60}`}
    />
  );
}
