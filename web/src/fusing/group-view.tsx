import type { Group, Member } from '@gonimos/core/fusing';

interface Props {
  members: readonly Member[];
  group: Group;
}

const SIZE = 320;
const RAD = Math.PI / 180;
const TONES = [
  'var(--bark)',
  'var(--celadon-deep)',
  'var(--color-info)',
  'var(--color-accent)',
  'var(--wood-line)',
];

/** The group from above, the front below: trunks on their places, roots as they are turned, curves as arrows. */
export function GroupView({ members, group }: Props) {
  const reach = Math.max(
    3 * Math.max(...members.map((m) => m.base)),
    ...group.stood.map((s) => {
      const m = members.find((x) => x.id === s.id)!;
      const spot = group.spots[s.place];
      return Math.hypot(spot.x, spot.y) + Math.min(120, Math.max(m.base, ...m.roots.map((r) => r.reach)));
    }),
  );
  const scale = (SIZE / 2 - 18) / reach;
  return (
    <svg
      viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE + 14}`}
      className="mx-auto block w-full max-w-md"
      role="img"
      aria-label={`${members.length} stems from above, the front below`}
    >
      {group.stood.map((s) => {
        const at = members.findIndex((x) => x.id === s.id);
        const m = members[at];
        const spot = group.spots[s.place];
        const tone = TONES[at % TONES.length];
        const [cx, cy] = [spot.x * scale, -spot.y * scale];
        const end = (azimuth: number, far: number) => {
          const a = (azimuth + s.turn) * RAD;
          return [cx + far * scale * Math.sin(a), cy - far * scale * Math.cos(a)];
        };
        const goes = new Set(
          group.goes.filter((g) => g.id === s.id && g.what === 'root').map((g) => g.index),
        );
        return (
          <g key={s.id} stroke={tone} fill="none" strokeLinecap="round">
            {m.roots.map((r, i) => {
              const [x, y] = end(r.azimuth, Math.min(120, r.reach));
              return (
                <line
                  key={i}
                  x1={cx}
                  y1={cy}
                  x2={x}
                  y2={y}
                  strokeWidth={Math.max(1.2, r.diameter * scale)}
                  strokeDasharray={goes.has(i) ? '2 4' : undefined}
                  opacity={0.75}
                />
              );
            })}
            <circle cx={cx} cy={cy} r={(m.base / 2) * scale} fill="var(--wood)" strokeWidth={2} />
            {m.curve !== null && (
              <line
                x1={cx}
                y1={cy}
                x2={end(m.curve, m.base * 0.9)[0]}
                y2={end(m.curve, m.base * 0.9)[1]}
                strokeWidth={3}
                stroke="var(--color-base-content)"
              />
            )}
            <text
              x={cx}
              y={cy + 4}
              textAnchor="middle"
              fontSize={12}
              fontWeight={700}
              fill="var(--color-base-content)"
              stroke="none"
            >
              {at + 1}
            </text>
          </g>
        );
      })}
      <text y={SIZE / 2 + 8} textAnchor="middle" fontSize={11} fill="var(--ink-soft)">
        front
      </text>
    </svg>
  );
}
