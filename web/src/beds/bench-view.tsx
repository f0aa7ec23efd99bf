import { memo, useMemo, type PointerEvent } from 'react';
import type { BedRoom, RoomCohort } from '@gonimos/contract/beds';
import { footprintOf, layOut } from '@gonimos/core/beds';
import { container } from '@gonimos/core/containers';
import { useInTurn } from '../common/after-paint';

/** Points a bench of the full length is wide. */
const WIDE = 1000;

interface Props {
  bed: BedRoom;
  /** mm of the longest bench: all are drawn to one scale */
  longest: number;
  chosen: string | null;
  /** a cohort is held over this bench */
  under: boolean;
  onTake: (cohort: RoomCohort, e: PointerEvent) => void;
}

/** Pots of a cohort as one path: two thousand of them are drawn as a few. */
function potsPath(spots: readonly { x: number; y: number }[], c: RoomCohort, scale: number): string {
  const kind = container(c.container);
  const [w, h] = kind.wall === 'ground' ? [60, 60] : [Math.min(...kind.rim), Math.max(...kind.rim)];
  const [rx, ry] = [(w / 2) * scale, (h / 2) * scale];
  const round = kind.shape === 'round' || kind.wall === 'ground';
  return spots
    .map(({ x, y }) => {
      const [cx, cy] = [x * scale, y * scale];
      return round
        ? `M${cx - rx} ${cy}a${rx} ${rx} 0 1 0 ${2 * rx} 0a${rx} ${rx} 0 1 0 ${-2 * rx} 0Z`
        : `M${cx - rx} ${cy - ry}h${2 * rx}v${2 * ry}h${-2 * rx}Z`;
    })
    .join('');
}

/** Stems in the pots, as thick as they are. */
const stemsPath = (spots: readonly { x: number; y: number }[], caliper: number, scale: number): string => {
  const r = Math.max(0.7, (caliper / 2) * scale * 2);
  return spots
    .map(
      ({ x, y }) => `M${x * scale - r} ${y * scale}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
    )
    .join('');
};

interface PotsProps {
  cohort: RoomCohort;
  spots: readonly { x: number; y: number }[];
  scale: number;
  /** every other cohort is darker, to be told from its neighbour */
  darker: boolean;
  picked: boolean;
  onTake: Props['onTake'];
}

/** The pots of one cohort, drawn once for as long as nothing of it changes. */
const Pots = memo(function Pots({ cohort, spots, scale, darker, picked, onTake }: PotsProps) {
  return (
    <g onPointerDown={(e) => onTake(cohort, e)} style={{ cursor: 'grab' }}>
      <path
        d={potsPath(spots, cohort, scale)}
        fill={picked ? 'var(--wood)' : darker ? 'var(--rest)' : 'var(--wood-pale)'}
        stroke={picked ? 'currentColor' : 'var(--wood-line)'}
        strokeWidth={picked ? 1.4 : 0.5}
      />
      <path d={stemsPath(spots, cohort.caliper, scale)} fill="var(--wood-line)" pointerEvents="none" />
    </g>
  );
});

/** Cohorts whose pots are drawn at once. */
const AT_ONCE = 60;

/** A bench from above with its pots as they stand, to scale. */
export const BenchView = memo(function BenchView({ bed, longest, chosen, under, onTake }: Props) {
  const { length, width, cohorts } = bed;
  const scale = WIDE / longest;
  const laid = useMemo(
    () =>
      layOut(
        length ?? 0,
        width ?? 0,
        cohorts.map((c) => footprintOf(c.container, c.plants, c.caliper)),
      ),
    [length, width, cohorts],
  );
  const drawn = useInTurn(cohorts.length, AT_ONCE);
  if (length === null || width === null) return null;
  return (
    <svg
      viewBox={`-2 -2 ${WIDE + 4} ${width * scale + 4}`}
      className="block w-full touch-none"
      role="img"
      aria-label={`${bed.name} from above, ${cohorts.length} cohorts`}
      data-bed={bed.id}
    >
      <rect
        width={length * scale}
        height={width * scale}
        fill={under ? 'var(--celadon)' : 'var(--color-base-100)'}
        stroke="currentColor"
        strokeWidth={under ? 3 : 1.5}
        strokeDasharray={bed.kind === 'ground' ? '6 4' : undefined}
      />
      {cohorts
        .slice(0, drawn)
        .map((c, i) =>
          laid[i].spots.length === 0 ? null : (
            <Pots
              key={c.id}
              cohort={c}
              spots={laid[i].spots}
              scale={scale}
              darker={i % 2 === 1}
              picked={c.id === chosen}
              onTake={onTake}
            />
          ),
        )}
    </svg>
  );
});
