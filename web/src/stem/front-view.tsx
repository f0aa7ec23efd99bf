import { container, hasContainer, HEADROOM } from '@gonimos/core/containers';
import { footOf, posed, sideOf, type RootRecord } from '@gonimos/core/roots';
import { leanFrom, leanSeen, type Lean, type Stance } from '@gonimos/core/stance';
import { stemAt, type StemRecord } from '@gonimos/core/stem';
import { Part } from './part-shapes';

/** Roots as they were drawn, and how the plant leant then. */
export interface RootsDrawn {
  record: RootRecord;
  lean: Lean;
}

interface Props {
  /** null: no stem was drawn */
  stem: StemRecord | null;
  roots: RootsDrawn | null;
  stance: Stance;
  /** how high it is shown, mm */
  top: number;
  /** container id */
  pot: string | null;
}

/** The pot across the front, its rim a finger above the level of the roots; trees in the ground have none. */
function Pot({ pot, aside, width }: { pot: string | null; aside: number; width: number }) {
  if (!pot || !hasContainer(pot)) return null;
  const { rim, base, depth, wall, shared } = container(pot);
  if (wall === 'ground' || shared) return null;
  // the trunk stands at 0: the pot's middle lies to its other side
  const x = -aside;
  const points = [
    [x - rim[0] / 2, -HEADROOM],
    [x - base[0] / 2, depth - HEADROOM],
    [x + base[0] / 2, depth - HEADROOM],
    [x + rim[0] / 2, -HEADROOM],
  ];
  return (
    <polyline
      points={points.map((p) => p.join(' ')).join(', ')}
      fill="none"
      stroke="var(--color-base-content)"
      strokeWidth={width * 1.5}
      strokeDasharray={wall === 'air-pruning' ? `${width * 4} ${width * 3}` : undefined}
    />
  );
}

const widestOf = (pot: string | null): { half: number; deep: number } => {
  if (!pot || !hasContainer(pot)) return { half: 0, deep: 0 };
  const { rim, depth, wall, shared } = container(pot);
  return wall === 'ground' || shared ? { half: 0, deep: 0 } : { half: rim[0] / 2, deep: depth };
};

/** A whole plant from a side that may be its front, as it would lean and stand in its pot: stem, branches and roots. */
export function FrontView({ stem, roots, stance, top, pot }: Props) {
  const seen = leanSeen(stance);
  const record = stem && { ...stem, front: stance.front };
  const below = roots && {
    ...posed(roots.record, { height: 0, ...leanFrom(roots.lean, stance) }),
    front: stance.front,
  };
  const side = below ? sideOf(below, null) : null;
  const { half, deep } = widestOf(pot);
  const wide = Math.max(top * 0.42, half + Math.abs(stance.aside) + 8);
  const low = Math.max(side?.low ?? 0, deep, top * 0.06);
  const size = top / 22;
  const width = Math.max(0.4, top / 260);
  const end = record ? Math.min(record.height, top) : top;
  const thick = (at: number) => (record ? stemAt(record, at) : (roots?.record.trunk ?? 10)) / 2;
  return (
    <svg
      viewBox={`${-wide} ${-top * 1.06} ${2 * wide} ${top * 1.06 + low * 1.05}`}
      className="block h-56 w-full"
      role="img"
      aria-label={`Seen from ${Math.round(stance.front)}°`}
    >
      <line x1={-wide} x2={wide} y1={0} y2={0} stroke="var(--color-base-300)" strokeWidth={width} />
      <Pot pot={pot} aside={stance.aside} width={width} />
      {side?.roots.map(({ root, d }) => (
        <path
          key={root.id}
          d={d}
          fill="none"
          stroke="var(--bark)"
          strokeWidth={Math.max(width * 1.5, root.diameter * 0.9)}
          strokeLinecap="round"
        />
      ))}
      <g transform={`rotate(${seen})`}>
        {record ? (
          <>
            <path
              d={`M${-thick(0)} 0L${-thick(end)} ${-end}H${thick(end)}L${thick(0)} 0Z`}
              fill="var(--wood)"
              stroke="var(--wood-line)"
              strokeWidth={width}
            />
            {record.parts
              .filter((p) => p.height <= end)
              .map((p) => (
                <Part key={p.id} part={p} record={record} size={size} chosen={false} onChoose={null} />
              ))}
          </>
        ) : (
          roots && (
            <path
              d={footOf(roots.record.trunk)}
              fill="var(--wood)"
              stroke="var(--wood-line)"
              strokeWidth={width}
            />
          )
        )}
      </g>
    </svg>
  );
}
