import { CALLUS_TO_RING, METHODS } from '../../data/thickening.ts';
import { RESERVE_CAP, RESERVE_GAIN, reserveDrop } from '../plant/reserve.ts';
import {
  crownMean,
  grow,
  massOf,
  roomFor,
  ROOTS,
  SLENDERNESS,
  VIGOUR_FACTOR,
  WALL_FACTOR,
} from '../trunk/index.ts';
import type { Wall } from '../containers/index.ts';
import type { LabAct, LabStart, LabYear, Luck, Scar } from './types.ts';

/** Heights a stem is followed at, mm above the base. */
export const HEIGHTS: readonly number[] = [
  0, 25, 50, 75, 100, 150, 200, 250, 300, 350, 400, 450, 500, 600, 700, 800, 1000, 1250, 1500, 2000,
];
/** What swells the base works up to here, mm. */
const BASE_TO = 30;
const SETTLING = 0.5;
/** Part of a free stem that is clear of shoots, from below. Common practice, no source. */
const CLEAR = 0.3;
/** Thickness of a tip, mm. */
export const TIP = 1.5;
/** A sacrifice comes to the crown it is given in so many seasons. Common practice, no source. */
const SACRIFICE_SEASONS = 2;

const areaOf = (mm: number): number => (Math.PI / 4) * mm * mm;
const acrossOf = (area: number): number => Math.sqrt((4 * area) / Math.PI);

interface Sacrifice {
  id: string;
  height: number;
  /** crown it comes to, and has now, of a natural one */
  goal: number;
  foliage: number;
  /** mm² */
  area: number;
}

/**
 * A trunk grown season by season: the base by the room of its roots and all of its foliage (`grow`), and at each
 * height the share of that wood whose foliage stands above it (pipe model, Shinozaki et al. 1964).
 */
export class LabPlant {
  year: number;
  caliper: number;
  height: number;
  /** the stem was cut here, mm; what stands above is a new leader */
  private cutAt = 0;
  /** cross-section of the new leader where it begins, mm²; the whole stem's while it was never cut */
  private leader: number;
  private readonly stem = new Float64Array(HEIGHTS.length);
  private crown = 1;
  private readonly sacrifices: Sacrifice[] = [];
  private scars: Scar[] = [];
  private litres: number;
  private wall: Wall;
  private roots: number;
  private settling: number;
  private reserve: number;
  /** least reserve since the last season ended, and in the season before */
  private lowest: number;
  private lastLowest: number;
  private vigour: number;
  private undisturbed = 0;
  private readonly methods = new Set<string>();

  constructor(private readonly start: LabStart) {
    this.year = start.year;
    this.caliper = start.caliper;
    this.height = start.height ?? SLENDERNESS.value * start.caliper;
    this.leader = areaOf(start.caliper);
    this.litres = start.litres ?? Infinity;
    this.wall = start.wall;
    this.vigour = start.vigour;
    this.reserve = RESERVE_CAP[start.vigour];
    this.lowest = this.reserve;
    this.lastLowest = this.reserve;
    this.roots = ROOTS.share.value * massOf(start.caliper);
    this.settling = start.wall === 'ground' ? 1 : 0;
    this.reach();
  }

  /** Heights the tip has newly come to begin as thin as its cone is there. */
  private reach(): void {
    const across = acrossOf(this.leader);
    const long = Math.max(1, this.height - this.cutAt);
    for (let j = 0; j < HEIGHTS.length && HEIGHTS[j] < this.height; j++)
      if (this.stem[j] === 0)
        this.stem[j] = areaOf(Math.max(TIP, across * (1 - (HEIGHTS[j] - this.cutAt) / long)));
  }

  act(a: LabAct): void {
    if (a.do === 'move') this.move(a);
    else if (a.do === 'chop') this.chop(a.height);
    else if (a.do === 'prune') this.lose(0, a.share);
    else if (a.do === 'sacrifice')
      this.sacrifices.push({
        id: a.id,
        height: a.height,
        goal: a.foliage,
        foliage: a.diameter ? a.foliage : 0,
        area: areaOf(a.diameter ?? 0),
      });
    else if (a.do === 'off') this.takeOff(a.id);
    else if (a.do === 'carve') this.carve(a.id);
    else if (a.on) this.methods.add(a.id);
    else this.methods.delete(a.id);
  }

  private move({ litres, wall, rootCut }: LabAct & { do: 'move' }): void {
    this.litres = litres ?? Infinity;
    this.wall = wall;
    // planted anew it settles anew, also where it was lifted from the same row
    if (wall === 'ground') this.settling = 1;
    this.roots *= 1 - rootCut;
    this.lose(rootCut, 0);
  }

  private lose(root: number, top: number): void {
    this.spend(root, top);
    this.crown *= 1 - top;
    if (root > 0.3 || top > 0.3) this.undisturbed = 0;
  }

  private spend(root: number, top: number): void {
    this.reserve = Math.max(0, this.reserve - reserveDrop(this.start.tolerance, this.vigour, root, top));
    this.lowest = Math.min(this.lowest, this.reserve);
  }

  private chop(height: number): void {
    if (height >= this.height) return;
    const across = acrossOf(this.areaAt(height));
    this.scar('chop', height, across, across);
    this.height = height;
    this.cutAt = height;
    this.leader = 0;
    for (let j = 0; j < HEIGHTS.length; j++) if (HEIGHTS[j] > height) this.stem[j] = 0;
    // sacrifices above the cut go with the stem
    for (const s of this.sacrifices.filter((x) => x.height > height)) this.drop(s.id);
    this.lose(0, 0.85);
  }

  private takeOff(id: string): void {
    const s = this.sacrifices.find((x) => x.id === id);
    if (!s) return;
    this.scar(id, s.height, acrossOf(s.area), acrossOf(this.areaAt(s.height)));
    const all = this.crown + this.sacrifices.reduce((n, x) => n + x.foliage, 0);
    this.drop(id);
    this.spend(0, s.foliage / all);
  }

  private drop(id: string): void {
    this.sacrifices.splice(
      this.sacrifices.findIndex((x) => x.id === id),
      1,
    );
  }

  private scar(id: string, height: number, width: number, stem: number): void {
    const share = width / Math.max(width, stem);
    // a list of its own: what was looked at before stays as it was seen
    this.scars = [...this.scars, { id, height, width, open: width, share, made: this.year, carved: false }];
  }

  private carve(id: string): void {
    this.scars = this.scars.map((s) => (s.id === id && s.open > 0 ? { ...s, carved: true } : s));
  }

  /** Cross-section of the stem at a height, mm², between the heights of the grid. */
  private areaAt(height: number): number {
    const j = HEIGHTS.findIndex((h) => h >= height);
    if (j <= 0) return this.stem[j < 0 ? HEIGHTS.length - 1 : 0];
    const [from, to] = [HEIGHTS[j - 1], HEIGHTS[j]];
    const above = this.stem[j] > 0 ? this.stem[j] : areaOf(TIP);
    return this.stem[j - 1] + ((height - from) / (to - from)) * (above - this.stem[j - 1]);
  }

  /** Foliage above a height: that of the leader, spread over its crown, and of sacrifices that stand higher. */
  private foliageAbove(height: number, leader: number): number {
    const from = Math.max(this.cutAt, CLEAR * this.height);
    const share = height <= from ? 1 : (this.height - height) / Math.max(1, this.height - from);
    let sum = leader * Math.max(0, share);
    for (const s of this.sacrifices) if (s.height >= height) sum += s.foliage;
    return sum;
  }

  /** What the ways of thickening do to a season's wood, and to the swelling of the base. */
  private thickening(works: 'wood' | 'base', luck: number): number {
    let by = 1;
    for (const m of METHODS) {
      if (m.works !== works || !this.methods.has(m.id)) continue;
      const far = luck < 0 ? Math.log(m.p50 / m.p10) : Math.log(m.p90 / m.p50);
      by *= m.p50 * Math.exp((far * luck) / 1.28);
    }
    return by;
  }

  /** One season. */
  season(luck: Luck, index: number): void {
    const { ring, tolerance } = this.start;
    const rate = tolerance.crownRecovery.value;
    const leader = crownMean(this.crown, rate, 1);
    for (const s of this.sacrifices) s.foliage = Math.min(s.goal, s.foliage + s.goal / SACRIFICE_SEASONS);
    const all = leader + this.sacrifices.reduce((n, s) => n + s.foliage, 0);
    const settle = this.settling > 0 ? SETTLING : 1;
    const chance = luck.cohort * (luck.seasons[index] ?? 1);
    const wood = this.thickening('wood', luck.methods);
    const factor = all * VIGOUR_FACTOR[this.vigour] * WALL_FACTOR[this.wall].value * settle * chance * wood;
    const before = this.caliper;
    const after = grow(before, ring, factor, this.litres, 1);
    const gained = areaOf(after) - areaOf(before);
    this.layOn(gained, all, leader, luck.methods);
    this.roots += ROOTS.share.value * (massOf(this.caliper) - massOf(before));
    this.closeScars(gained, all, leader);
    this.crown = Math.min(1, this.crown + rate);
    this.settling = Math.max(0, this.settling - 1);
    this.recover();
    this.lastLowest = this.lowest;
    this.lowest = this.reserve;
    this.year++;
  }

  private layOn(gained: number, all: number, leader: number, luck: number): void {
    const swell = this.thickening('base', luck);
    const tip = this.height;
    for (let j = 0; j < HEIGHTS.length && HEIGHTS[j] < tip; j++) {
      const part = (gained * this.foliageAbove(HEIGHTS[j], leader)) / all;
      this.stem[j] += HEIGHTS[j] <= BASE_TO ? part * swell : part;
    }
    for (const s of this.sacrifices) s.area += (gained * s.foliage) / all;
    const was = acrossOf(this.leader);
    this.leader += (gained * leader) / all;
    this.caliper = acrossOf(this.stem[0]);
    this.height += SLENDERNESS.value * (acrossOf(this.leader) - was);
    this.reach();
  }

  /** Callus comes from both sides, by the ring that is laid down there (form of Neely 1988, from memory). */
  private closeScars(gained: number, all: number, leader: number): void {
    this.scars = this.scars.map((s) => {
      if (s.open <= 0 || s.carved) return s;
      const here = (gained * this.foliageAbove(s.height, leader)) / all;
      const laid = here / (Math.PI * Math.max(1, acrossOf(this.areaAt(s.height))));
      return { ...s, open: Math.max(0, s.open - 2 * CALLUS_TO_RING.value * laid) };
    });
  }

  private recover(): void {
    const gain = (RESERVE_GAIN.value * this.vigour) / 3;
    this.reserve = Math.min(RESERVE_CAP[this.vigour], this.reserve + gain);
    if (++this.undisturbed >= 2 && this.vigour < 4) {
      this.vigour++;
      this.undisturbed = 0;
    }
  }

  /** As it stands after a season. */
  look(): LabYear {
    const { litres } = this;
    return {
      year: this.year - 1,
      caliper: this.caliper,
      height: this.height,
      stem: this.stem.map(acrossOf),
      scars: this.scars.map((s) => ({
        ...s,
        left: s.carved ? 0 : Math.min(1, s.open / acrossOf(this.areaAt(s.height))),
      })),
      sacrifices: this.sacrifices.map((s) => ({ id: s.id, height: s.height, diameter: acrossOf(s.area) })),
      fill: litres === Infinity ? 0 : Math.min(1, this.roots / (ROOTS.boundAt.value * litres)),
      room: roomFor(this.caliper, litres),
      reserve: this.lastLowest,
    };
  }
}
