import { branchFaults, isAlive, stemAt, type StemPart, type StemRecord } from '@gonimos/core/stem';

interface Props {
  record: StemRecord;
  finished: number | null;
  chosen: string | null;
  onChoose: (id: string) => void;
}

const SIZE = 200;
const RAD = Math.PI / 180;
const COLOUR: Record<StemPart['kind'], string> = {
  bud: 'var(--celadon-deep)',
  shoot: 'var(--celadon-deep)',
  branch: 'var(--bark)',
  sacrifice: 'var(--wood)',
  stub: 'var(--ink-soft)',
};

/** The stem from above, the front below: on which side each part stands, the low ones reaching farther. */
export function AboveView({ record, finished, chosen, onChoose }: Props) {
  const top = finished ?? record.height;
  const faults = branchFaults(record, top);
  const trunk = 16;
  const reach = (p: StemPart) => trunk + (SIZE / 2 - trunk - 14) * (1 - 0.6 * Math.min(1, p.height / top));
  const at = (p: StemPart, r: number) => {
    const a = (p.azimuth - record.front + 180) * RAD;
    return { x: r * Math.sin(a), y: -r * Math.cos(a) };
  };
  return (
    <svg
      viewBox={`${-SIZE / 2} ${-SIZE / 2 - 4} ${SIZE} ${SIZE + 18}`}
      className="mx-auto block w-full max-w-64 select-none"
      role="group"
      aria-label="The stem from above, the front below"
    >
      <circle r={SIZE / 2 - 14} fill="none" stroke="var(--color-base-300)" strokeDasharray="2 4" />
      {record.parts
        .toSorted((a, b) => a.height - b.height)
        .map((p) => {
          const end = at(p, reach(p));
          const wide = Math.max(2, Math.min(9, (p.diameter / Math.max(1, stemAt(record, 0))) * 34));
          return (
            <g key={p.id} onPointerDown={() => onChoose(p.id)} style={{ cursor: 'pointer' }}>
              <line x2={end.x} y2={end.y} stroke="transparent" strokeWidth={18} />
              <line
                x2={end.x}
                y2={end.y}
                stroke={COLOUR[p.kind]}
                strokeWidth={wide}
                strokeLinecap="round"
                strokeDasharray={isAlive(p) ? undefined : '3 3'}
              />
              {p.id === chosen && (
                <circle cx={end.x} cy={end.y} r={8} fill="none" stroke="var(--color-info)" strokeWidth={2} />
              )}
              <text
                {...at(p, reach(p) + 8)}
                textAnchor="middle"
                dominantBaseline="middle"
                fontSize={10}
                fontWeight={faults.has(p.id) ? 700 : 400}
                fill={faults.has(p.id) ? 'var(--color-accent)' : 'var(--ink-soft)'}
              >
                {p.id}
              </text>
            </g>
          );
        })}
      <circle r={trunk} fill="var(--wood)" stroke="var(--wood-line)" />
      <text y={SIZE / 2 + 8} textAnchor="middle" fontSize={10} fill="var(--ink-soft)">
        front
      </text>
    </svg>
  );
}
