import { memo, useMemo } from 'react';
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

interface SpokeProps {
  part: StemPart;
  record: StemRecord;
  top: number;
  wrong: boolean;
  chosen: boolean;
  onChoose: (id: string) => void;
}

const TRUNK = 16;

/** A part as it stands around the stem; of sixty, a tap draws the two anew that it bears on. */
const Spoke = memo(function Spoke({ part, record, top, wrong, chosen, onChoose }: SpokeProps) {
  const at = (r: number) => {
    const a = (part.azimuth - record.front + 180) * RAD;
    return { x: r * Math.sin(a), y: -r * Math.cos(a) };
  };
  const reach = TRUNK + (SIZE / 2 - TRUNK - 14) * (1 - 0.6 * Math.min(1, part.height / top));
  const end = at(reach);
  const wide = Math.max(2, Math.min(9, (part.diameter / Math.max(1, stemAt(record, 0))) * 34));
  return (
    <g onPointerDown={() => onChoose(part.id)} style={{ cursor: 'pointer' }}>
      <line x2={end.x} y2={end.y} stroke="transparent" strokeWidth={18} />
      <line
        x2={end.x}
        y2={end.y}
        stroke={COLOUR[part.kind]}
        strokeWidth={wide}
        strokeLinecap="round"
        strokeDasharray={isAlive(part) ? undefined : '3 3'}
      />
      {chosen && (
        <circle cx={end.x} cy={end.y} r={8} fill="none" stroke="var(--color-info)" strokeWidth={2} />
      )}
      <text
        {...at(reach + 8)}
        textAnchor="middle"
        dominantBaseline="middle"
        fontSize={10}
        fontWeight={wrong ? 700 : 400}
        fill={wrong ? 'var(--color-accent)' : 'var(--ink-soft)'}
      >
        {part.id}
      </text>
    </g>
  );
});

/** The stem from above, the front below: on which side each part stands, the low ones reaching farther. */
export function AboveView({ record, finished, chosen, onChoose }: Props) {
  const top = finished ?? record.height;
  const faults = useMemo(() => branchFaults(record, top), [record, top]);
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
        .map((p) => (
          <Spoke
            key={p.id}
            part={p}
            record={record}
            top={top}
            wrong={faults.has(p.id)}
            chosen={p.id === chosen}
            onChoose={onChoose}
          />
        ))}
      <circle r={TRUNK} fill="var(--wood)" stroke="var(--wood-line)" />
      <text y={SIZE / 2 + 8} textAnchor="middle" fontSize={10} fill="var(--ink-soft)">
        front
      </text>
    </svg>
  );
}
