import type { ContainerKind } from '@gonimos/core/containers';
import { columnOf, filledWeight, LIFTED_BY_ONE, shapeOf, type Blend, type Zone } from '@gonimos/core/mixes';
import { percent } from '@gonimos/core/words';
import { length, volume, weight } from '../common/units';

interface Props {
  blend: Blend;
  pots: readonly ContainerKind[];
  /** coarser mix below the roots */
  zone: Zone | null;
}

const WIDE = 132;
const TALLEST = 150;
/** Layers a pot is drawn in. */
const LAYERS = 15;

/** Points per mm, one for all pots, so that they stand beside each other to scale. */
const scaleFor = (pots: readonly ContainerKind[]): number =>
  Math.min(WIDE / Math.max(...pots.map((c) => c.rim[0])), TALLEST / Math.max(...pots.map((c) => c.depth)));

interface PotProps {
  pot: ContainerKind;
  blend: Blend;
  zone: Zone | null;
  scale: number;
  /** of the tallest pot beside it, points */
  tall: number;
}

/** What the coarse zone does to the air around the roots. */
const withoutZone = (around: number, plain: number): string =>
  Math.abs(around - plain) < 0.005 ? 'as much without the zone' : `${percent(plain)} without the zone`;

/** One pot cut through: the less blue a layer, the more air is in it once it has drained. */
function Pot({ pot, blend, zone, scale, tall }: PotProps) {
  const { depth } = shapeOf(pot);
  const column = columnOf(blend, shapeOf(pot), zone);
  const per = column.slices.length / LAYERS;
  const y = (mm: number) => tall - mm * scale;
  const half = (mm: number) => ((pot.base[0] + ((pot.rim[0] - pot.base[0]) * mm) / pot.depth) / 2) * scale;
  const layer = (i: number) => {
    const { air } = column.slices[Math.floor((i + 0.5) * per)];
    const [low, high] = [(i * depth) / LAYERS, ((i + 1) * depth) / LAYERS];
    const points = [
      [-half(low), y(low)],
      [half(low), y(low)],
      [half(high), y(high)],
      [-half(high), y(high)],
    ];
    return (
      <polygon
        key={i}
        points={points.map((p) => p.join(',')).join(' ')}
        fill="var(--color-info)"
        opacity={0.12 + 0.75 * Math.max(0, 1 - air / 0.35)}
      />
    );
  };
  const { dry, wet } = filledWeight(pot, blend, zone);
  const outline = [
    [-half(pot.depth), y(pot.depth)],
    [-half(0), y(0)],
    [half(0), y(0)],
    [half(pot.depth), y(pot.depth)],
  ];
  return (
    <figure className="grid w-36 justify-items-center gap-1 text-center">
      <svg viewBox={`${-WIDE / 2 - 4} -2 ${WIDE + 8} ${tall + 5}`} className="w-full" aria-hidden>
        {Array.from({ length: LAYERS }, (_, i) => layer(i))}
        {zone && (
          <line
            x1={-half(zone.share * depth)}
            x2={half(zone.share * depth)}
            y1={y(zone.share * depth)}
            y2={y(zone.share * depth)}
            stroke="currentColor"
            strokeDasharray="1 3"
          />
        )}
        <polyline
          points={outline.map((p) => p.join(',')).join(' ')}
          fill="none"
          stroke="currentColor"
          strokeWidth={2}
          strokeDasharray={pot.wall === 'air-pruning' ? '3 2' : undefined}
        />
      </svg>
      <figcaption className="text-sm leading-snug">
        <strong>{pot.name}</strong>
        <span className="soft block">
          {length(depth)} of mix, {volume(pot.litres)}
        </span>
        <span className="block text-base">
          air <strong>{percent(zone ? column.around : column.air)}</strong>
          {zone && ' around the roots'}
        </span>
        {zone && (
          <span className="soft block">{withoutZone(column.around, columnOf(blend, shapeOf(pot)).air)}</span>
        )}
        <span className="soft block">water {percent(column.water)}</span>
        <span className="soft block">
          {weight(dry)} dry, {weight(wet)} wet
        </span>
        {wet > LIFTED_BY_ONE.value && <strong className="text-accent">two people or a lift</strong>}
      </figcaption>
    </figure>
  );
}

/** The same mix in pots of different depth, to one scale. */
export function Columns({ blend, pots, zone }: Props) {
  const scale = scaleFor(pots);
  const tall = Math.max(...pots.map((c) => c.depth)) * scale;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-6">
      {pots.map((pot) => (
        <Pot key={pot.id} pot={pot} blend={blend} zone={zone} scale={scale} tall={tall} />
      ))}
    </div>
  );
}
