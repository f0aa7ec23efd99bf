import { toDay, type Day } from '../calendar/index.ts';
import { container, roomPerPlant } from '../containers/index.ts';
import { MAJOR } from '../operations/index.ts';
import { cp } from '../params/index.ts';
import { FREE_RING } from '../taxa/index.ts';
import {
  crownMean,
  GROWTH,
  grow,
  massOf,
  SLENDERNESS,
  VIGOUR_FACTOR,
  WALL_FACTOR,
  type Ring,
} from '../trunk/index.ts';
import { seasonsBetween } from './growing.ts';
import type { Context, CourseFacts } from './types.ts';

/** Reserve a plant can hold by vigour 1..5, and how much heavier a loss weighs on a weak one. */
export const RESERVE_CAP = [0, 0.4, 0.55, 0.8, 0.95, 1];
export const WEAKNESS = [0, 1.7, 1.3, 1, 0.9, 0.8];
/** Reserve regained in a growing season at vigour 3. */
export const RESERVE_GAIN = cp(0.35, 'per season');
/** First caliper of a seedling or cutting, mm. */
const FIRST_CALIPER = { seed: 1, cutting: 3, layer: 18, bought: 6, lifted: 40 } as const;
const FIRST_SEASON = 0.5;

/** Drop of the reserve for taking shares of root and top; the smaller of two at once weighs three tenths. */
export function reserveDrop(
  ctx: Pick<Context, 'tolerance'>,
  vigour: number,
  root: number,
  top: number,
): number {
  const r = (0.5 * root) / ctx.tolerance.rootTolerance.value;
  const t = (0.45 * top) / ctx.tolerance.topTolerance.value;
  return WEAKNESS[vigour] * (Math.max(r, t) + 0.3 * Math.min(r, t));
}

/** Something measured or judged on a day. */
interface Seen {
  day: Day;
  size?: CourseFacts['sizes'][number];
  vigour?: number;
  container?: string;
}

/** Root loss above which the plant has to take hold anew. */
const LOOSENED = 0.1;

/** The cohort's typical plant, carried forward day by day through what is done to it. */
export class Tree {
  day: Day;
  caliper: number;
  /** height measured, mm, and how caliper stood then; null while judged by slenderness */
  private measuredHeight: { height: number; caliper: number } | null = null;
  crown = 1;
  reserve: number;
  vigour: number;
  litres = 1;
  wall: keyof typeof WALL_FACTOR = 'smooth';
  lastMajor: { day: Day; title: string } | null = null;
  /** when roots were last cut or moved */
  lastRoots: { day: Day; title: string } | null = null;
  readonly rings: Ring[] = [];
  private settling = 0;
  private undisturbed = 0;
  private measuredIn = -1;
  private observed: Seen[];

  constructor(private readonly ctx: Context) {
    const { facts } = ctx;
    this.day = toDay(facts.startedOn);
    this.caliper = facts.programme.caliper ?? FIRST_CALIPER[facts.programme.method];
    this.vigour = facts.programme.vigour;
    this.reserve = RESERVE_CAP[this.vigour];
    this.settling = 1;
    this.stand(
      facts.firstContainer ?? facts.programme.steps[0].container ?? 'pot-9',
      Math.max(facts.live, 40),
    );
    this.observed = [
      ...facts.sizes.map((size) => ({ day: toDay(size.on), size })),
      ...facts.vigour.map((v) => ({ day: toDay(v.on), vigour: v.value })),
      ...(facts.moves ?? []).map((m) => ({ day: toDay(m.on), container: m.container })),
    ].sort((a, b) => a.day - b.day);
  }

  get height(): number {
    const m = this.measuredHeight;
    return m ? m.height * (this.caliper / Math.max(m.caliper, 0.1)) ** 0.5 : SLENDERNESS.value * this.caliper;
  }

  /** share of the container that roots fill, 0..1: plant mass against what the volume carries */
  get fill(): number {
    if (this.litres === Infinity) return 0;
    return Math.min(1, massOf(this.caliper) / (GROWTH.gramsPerLitre.value * this.litres));
  }

  private stand(into: string, plants: number): void {
    const kind = container(into);
    const wasInGround = this.wall === 'ground';
    this.litres = kind.wall === 'ground' ? Infinity : roomPerPlant(kind, plants);
    this.wall = kind.wall;
    if (kind.wall === 'ground' && !wasInGround) this.settling = 1;
  }

  clone(): Tree {
    const copy = Object.assign(Object.create(Tree.prototype) as Tree, this);
    return Object.assign(copy, { observed: [...this.observed], rings: [...this.rings] });
  }

  /** Lets the plant grow until a day, taking in what was measured on the way. */
  advance(to: Day): this {
    while (this.observed.length > 0 && this.observed[0].day <= to) {
      const seen = this.observed.shift()!;
      this.growTo(seen.day);
      this.takeIn(seen);
    }
    this.growTo(to);
    return this;
  }

  private takeIn({ day, size, vigour, container: into }: Seen): void {
    if (size) {
      if (size.caliper !== null) this.caliper = size.caliper;
      if (size.height !== null) this.measuredHeight = { height: size.height, caliper: this.caliper };
      this.measuredIn = this.ctx.book.seasonOf(day);
    }
    if (vigour !== undefined) {
      this.vigour = vigour;
      this.reserve = Math.min(this.reserve, RESERVE_CAP[vigour]);
    }
    if (into !== undefined) this.stand(into, this.ctx.facts.live);
  }

  private growTo(to: Day): void {
    const { book } = this.ctx;
    while (this.day < to) {
      const season = book.seasonOf(this.day);
      const end = Math.min(to, book.span(season).to + 1);
      this.growWithin(end);
      if (end > book.span(season).to) this.closeSeason(season);
      this.day = end;
    }
  }

  private growWithin(to: Day): void {
    const { taxon, tolerance } = this.ctx;
    const share = seasonsBetween(this.ctx, this.day, to);
    if (share <= 0) return;
    const rate = tolerance.crownRecovery.value;
    const settle = this.settling > 0 ? FIRST_SEASON : 1;
    const factor =
      crownMean(this.crown, rate, share) * VIGOUR_FACTOR[this.vigour] * WALL_FACTOR[this.wall].value * settle;
    this.caliper = grow(this.caliper, FREE_RING[taxon.pace].value, factor, this.litres, share);
    this.crown = Math.min(1, this.crown + rate * share);
    this.reserve = Math.min(
      RESERVE_CAP[this.vigour],
      this.reserve + ((RESERVE_GAIN.value * this.vigour) / 3) * share,
    );
    this.settling = Math.max(0, this.settling - share);
    this.undisturbed += share;
    if (this.undisturbed >= 1 && this.vigour < 4) {
      this.vigour++;
      this.undisturbed = 0;
    }
  }

  private closeSeason(season: number): void {
    this.rings.push({ season, caliper: this.caliper, measured: this.measuredIn === season });
  }

  /** Takes the loss of a step and moves into its container. */
  suffer(root: number, top: number, title: string, into: string | null): void {
    this.reserve = Math.max(0, this.reserve - reserveDrop(this.ctx, this.vigour, root, top));
    this.crown *= 1 - top;
    if (root > MAJOR || top > MAJOR) {
      this.lastMajor = { day: this.day, title };
      this.undisturbed = 0;
    }
    if (root > LOOSENED) this.lastRoots = { day: this.day, title };
    if (into !== null) this.stand(into, this.ctx.facts.live);
  }
}
