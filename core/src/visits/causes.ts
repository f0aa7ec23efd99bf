import { cp, type Basis } from '../params/index.ts';
import type { Wall } from '../containers/index.ts';
import type { Found } from './index.ts';

/** What the record says of a cohort whose roots have failed. */
export interface RootCase {
  found: readonly Found[];
  /** share of the container that a plant of this size fills, 0..1 */
  fill: number;
  litres: number;
  wall: Wall;
  /** growing seasons since roots were last worked on or the container was filled */
  sinceWork: number;
  /** mean of the daily maximum over the last two months at the place, °C; null when not known */
  warmth: number | null;
  light: 'full' | 'half' | 'shade' | null;
  /** the mix in use, by school */
  mix: 'mineral' | 'potting' | 'by-kind';
}

export type CauseId = 'size' | 'mix' | 'wetness' | 'dryness' | 'place' | 'age';

export interface Cause {
  id: CauseId;
  name: string;
  /** share of the blame among the causes looked at, 0..1 */
  weight: number;
  because: string;
  change: string;
  figures: { label: string; value: number; unit: string; basis: Basis | 'computed' }[];
}

/** Bounds from which a cause begins to weigh. Common practice, no source. */
export const BOUNDS = {
  emptyBelow: cp(0.08, 'share filled'),
  fullAbove: cp(0.85, 'share filled'),
  smallPot: cp(0.5, 'L'),
  hotAbove: cp(26, '°C'),
  coolBelow: cp(12, '°C'),
  oldAfter: cp(3, 'growing seasons'),
};

const clamp = (x: number) => Math.min(1, Math.max(0, x));
const round = (x: number) => Math.round(x * 100) / 100;

/**
 * Ranks why roots may have failed, from the record: each cause gets points for what speaks for it, and the
 * share of the points is its weight. One change goes with each; only the first is to be made, and looked
 * at again before the next. Deterministic; with nothing to go on every cause weighs the same.
 */
export function rankCauses(c: RootCase): Cause[] {
  const B = BOUNDS;
  const has = (f: Found) => c.found.includes(f);
  const empty = clamp((B.emptyBelow.value - c.fill) / B.emptyBelow.value);
  const hot = c.warmth === null ? 0 : clamp((c.warmth - B.hotAbove.value) / 6);
  const cool = c.warmth === null ? 0 : clamp((B.coolBelow.value - c.warmth) / 6);
  const small = clamp((B.smallPot.value - c.litres) / B.smallPot.value);
  const full = clamp((c.fill - B.fullAbove.value) / (1 - B.fullAbove.value));
  const fill = {
    label: 'container filled',
    value: Math.round(c.fill * 100),
    unit: '%',
    basis: 'computed' as const,
  };
  const volume = { label: 'container', value: round(c.litres), unit: 'L', basis: 'your data' as const };
  const since = {
    label: 'since the last root work',
    value: round(c.sinceWork),
    unit: 'growing seasons',
    basis: 'your data' as const,
  };
  const warmth =
    c.warmth === null
      ? []
      : [
          {
            label: 'mean of warm days, two months',
            value: round(c.warmth),
            unit: '°C',
            basis: 'computed' as const,
          },
        ];
  const causes: (Omit<Cause, 'weight'> & { points: number })[] = [
    {
      id: 'size',
      name: 'Container too large',
      points: 2 * empty + (has('few-roots') ? 0.6 : 0) + (has('mat-below') ? 0.2 : 0),
      because:
        empty > 0
          ? `roots fill ${fill.value} % of ${volume.value} L: the rest stays wet and still`
          : `by its size it should fill ${fill.value} % of ${volume.value} L: look whether it does`,
      change: 'Step back to a smaller container of the same mix',
      figures: [
        fill,
        volume,
        { label: 'too large below', value: B.emptyBelow.value * 100, unit: '%', basis: B.emptyBelow.basis },
      ],
    },
    {
      id: 'wetness',
      name: 'Too wet',
      points: (has('rot') ? 1.5 : 0) + 0.5 * empty + 0.4 * cool + (c.wall === 'smooth' ? 0.2 : 0),
      because: has('rot') ? 'rot was found' : 'a cool place and a wall that lets no air in keep it wet',
      change: 'Water by weight, and lift the container off the bench',
      figures: [...warmth, fill],
    },
    {
      id: 'dryness',
      name: 'Dried out',
      points:
        (has('mat-below') ? 1 : 0) + 0.8 * small + 0.8 * hot + (c.wall === 'porous' ? 0.5 : 0) + 0.3 * full,
      because: has('mat-below')
        ? 'roots sit below and the top is bare: it dries from above'
        : 'a small or porous container in a warm place dries fast',
      change: 'Cover the surface with moss and water twice on warm days',
      figures: [volume, ...warmth],
    },
    {
      id: 'mix',
      name: 'Mix',
      points:
        (c.mix === 'potting' ? 0.5 : 0.15) +
        (has('rot') ? 0.4 : 0) +
        0.2 * clamp(c.sinceWork / B.oldAfter.value),
      because:
        c.mix === 'potting'
          ? 'ordinary potting mix slumps and loses its air'
          : 'fines may have closed the air space',
      change: 'Refill with sieved mineral mix, nothing else changed',
      figures: [since],
    },
    {
      id: 'place',
      name: 'Place',
      points:
        (c.light === 'shade' ? 0.7 : c.light === 'half' ? 0.2 : 0) +
        0.4 * cool +
        0.2 * hot +
        (has('pests') ? 0.2 : 0),
      because:
        c.light === 'shade'
          ? 'it stands in shade: little is drawn up, little is made'
          : 'warmth or draught of the place',
      change: 'Move to a lighter, sheltered place for one season',
      figures: warmth,
    },
    {
      id: 'age',
      name: 'Too long in the container',
      points:
        clamp((c.sinceWork - B.oldAfter.value) / 2) +
        0.9 * full +
        (has('mat-below') ? 0.3 : 0) +
        (has('roots-out') ? 1.2 : 0),
      because: `${since.value} growing seasons since roots were worked on, ${fill.value} % full`,
      change: 'Root work at the next window instead of waiting',
      figures: [
        since,
        fill,
        { label: 'old after', value: B.oldAfter.value, unit: B.oldAfter.unit, basis: B.oldAfter.basis },
      ],
    },
  ];
  const total = causes.reduce((n, x) => n + x.points + 0.05, 0);
  return causes
    .map(({ points, ...x }) => ({ ...x, weight: round((points + 0.05) / total) }))
    .sort((a, b) => b.weight - a.weight);
}

/** Growing seasons until the change is looked at. Common practice, no source. */
export const CHECK_AFTER = 0.4;
