import { cp, memory, type Param } from '../params/index.ts';

/**
 * Trunk growth in a container or the ground. Plant mass M = a·D^b (g, mm); a container holds back
 * growth once mass passes 2 g per litre (Poorter et al. 2012, Functional Plant Biology 39:839–850),
 * and below that doubling the volume gives 43 % more mass. All from memory.
 */
const POORTER = 'Poorter et al. 2012, Functional Plant Biology 39:839–850';
export const GROWTH: Record<'a' | 'b' | 'gramsPerLitre' | 'k', Param> = {
  a: cp(0.0995, 'g/mm^b'),
  b: cp(2.4, ''),
  gramsPerLitre: memory(2, 'g/L', POORTER),
  k: memory(Math.log2(1.43), '', POORTER),
};

export const WALL_FACTOR = {
  'air-pruning': cp(1, ''),
  ground: cp(1, ''),
  grooved: cp(0.92, ''),
  porous: cp(0.85, ''),
  smooth: cp(0.85, ''),
} as const;

/** Growth against that of a plant of vigour 4. */
export const VIGOUR_FACTOR = [0, 0.4, 0.7, 0.9, 1, 1.1];

/** Roots: share of the mass gained, and dry root to the litre at which a container is root-bound. */
export const ROOTS = {
  share: cp(0.3, 'of the mass gained'),
  boundAt: cp(6, 'g of root per litre'),
} as const;

/** Growth of slow and of fast plants against the typical one, one in ten either way: log-normal, sd 0.2. */
export const YEARS_DIFFER = { slow: cp(0.77, ''), fast: cp(1.29, '') } as const;

export const massOf = (mm: number): number => GROWTH.a.value * mm ** GROWTH.b.value;

/** Caliper at which a volume begins to hold growth back, mm; long before it is root-bound. */
export const fullAt = (litres: number): number =>
  ((GROWTH.gramsPerLitre.value * litres) / GROWTH.a.value) ** (1 / GROWTH.b.value);

/** How far the room of its roots lets a plant grow, 0..1: 1 while they have all they want. */
export const roomFor = (mm: number, litres: number): number =>
  Math.min(1, (GROWTH.gramsPerLitre.value * litres) / massOf(mm)) ** GROWTH.k.value;

/**
 * Caliper, mm, after `share` of a growing season at free ring width `ring` (mm a season) scaled by
 * `factor`, with `litres` of root room (Infinity in the ground). Integrated in closed form.
 */
export function grow(from: number, ring: number, factor: number, litres: number, share: number): number {
  const rate = 2 * ring * factor;
  if (rate <= 0 || share <= 0) return from;
  const full = litres === Infinity ? Infinity : fullAt(litres);
  const free = from >= full ? 0 : Math.min(share, (full - from) / rate);
  const start = from + rate * free;
  const rest = share - free;
  if (rest <= 0) return start;
  const m = GROWTH.b.value * GROWTH.k.value + 1;
  const room = ((GROWTH.gramsPerLitre.value * litres) / GROWTH.a.value) ** GROWTH.k.value;
  return (start ** m + m * rate * room * rest) ** (1 / m);
}

/** Mean crown, 0..1, over `share` of a season that begins at `crown` and regains `rate` a season. */
export function crownMean(crown: number, rate: number, share: number): number {
  if (share <= 0 || crown >= 1) return Math.min(1, crown);
  const until = Math.min(share, (1 - crown) / rate);
  return ((crown + (rate * until) / 2) * until + (share - until)) / share;
}

/** Young stock is first judged by height; mm of height for each mm of caliper. */
export const SLENDERNESS = cp(60, 'mm/mm');

/** One growing year in the section: caliper at its end, mm. */
export interface Ring {
  season: number;
  caliper: number;
  /** one plant in ten is thinner, one in ten thicker; the caliper itself where it was measured */
  slow: number;
  fast: number;
  measured: boolean;
}

/** Rings of successive seasons, packed for sending: caliper in tenths of mm, and the seasons measured. */
export interface RingRun {
  from: number;
  mm: number[];
  measured: number[];
  /** slow and fast plants, whole mm; missing in what was sent before bands were kept */
  slow?: number[];
  fast?: number[];
}

/** Packs rings; seasons must follow one another, as they do in a course. */
export const packRings = (rings: readonly Ring[]): RingRun => ({
  from: rings[0]?.season ?? 0,
  mm: rings.map((r) => Math.round(r.caliper * 10) / 10),
  measured: rings.filter((r) => r.measured).map((r) => r.season),
  slow: rings.map((r) => Math.round(r.slow)),
  fast: rings.map((r) => Math.round(r.fast)),
});

export const ringsOf = (run: RingRun): Ring[] =>
  run.mm.map((caliper, i) => ({
    season: run.from + i,
    caliper,
    slow: run.slow?.[i] ?? caliper,
    fast: run.fast?.[i] ?? caliper,
    measured: run.measured.includes(run.from + i),
  }));

/** Caliper at the end of the last season before `season`, mm; 0 when nothing has grown yet. */
export const caliperBefore = (run: RingRun, season: number): number =>
  run.mm[Math.min(season - run.from, run.mm.length) - 1] ?? 0;
