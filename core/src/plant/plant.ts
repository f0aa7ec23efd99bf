import type { Day } from '../calendar/index.ts';
import { container, roomPerPlant, type Wall } from '../containers/index.ts';
import { MAJOR, type Segment, type Stretch } from '../operations/index.ts';
import { FREE_RING, type GroupTolerance, type Taxon } from '../taxa/index.ts';
import {
  crownMean,
  grow,
  massOf,
  ROOTS,
  SLENDERNESS,
  VIGOUR_FACTOR,
  WALL_FACTOR,
  YEARS_DIFFER,
  type Ring,
} from '../trunk/index.ts';
import { RESERVE_CAP, RESERVE_GAIN, reserveDrop } from './reserve.ts';
import { growthBetween, seasonsBetween, type Seasons } from './seasons.ts';

const FIRST_SEASON = 0.5;
/** Root loss above which the plant has to take hold anew. */
const LOOSENED = 0.1;
/**
 * Parts by name, below the whole crown: the moved stem is thinner than the base where wire sits. Common practice, no
 * source.
 */
const STRETCHES: Readonly<Record<Segment, Stretch>> = {
  base: { of: 1, share: 1 },
  stem: { of: 0.6, share: 1 },
};
const stretchOf = (part: Segment | Stretch): Stretch => (typeof part === 'string' ? STRETCHES[part] : part);

/** Something measured or judged on a day. */
export interface Seen {
  day: Day;
  size?: { caliper: number | null; height: number | null };
  vigour?: number;
  container?: string;
}

export interface PlantStart {
  taxon: Pick<Taxon, 'pace'>;
  tolerance: GroupTolerance;
  seasons: Seasons;
  day: Day;
  /** mm at the base */
  caliper: number;
  vigour: number;
  /** it begins with roots of its own; a cutting has none */
  rooted: boolean;
  container: string;
  /** plants in all; in shared trays they share the room */
  plants: number;
  sown?: number;
  seen: Seen[];
}

/** Caliper on a day that has been lived through; each points to the one before. */
interface Track {
  day: Day;
  caliper: number;
  before: Track | null;
}

/**
 * The one thing that grows: a cohort's typical plant, carried forward day by day through what is done to it.
 * Its size, crown, roots and reserve serve the course; nothing else computes growth.
 */
export class Plant {
  day: Day;
  caliper: number;
  /** caliper of slow and of fast plants of the kind, one in ten either way, mm */
  slow: number;
  fast: number;
  /** height measured, mm, and how caliper stood then; null while judged by slenderness */
  private measuredHeight: { height: number; caliper: number } | null = null;
  crown = 1;
  reserve: number;
  vigour: number;
  litres = 1;
  wall: Wall = 'smooth';
  /** dry mass of the roots, g; root work takes from it */
  roots: number;
  lastMajor: { day: Day; title: string } | null = null;
  /** when roots were last cut or moved */
  lastRoots: { day: Day; title: string } | null = null;
  /** one a season lived through; shared by copies, so it is never added to in place */
  rings: readonly Ring[] = [];
  private settling = 1;
  private undisturbed = 0;
  private measuredIn = -1;
  private seen: readonly Seen[];
  /** how much of what was seen is taken in */
  private taken = 0;
  private track: Track;

  constructor(private start: PlantStart) {
    this.day = start.day;
    this.caliper = start.caliper;
    this.slow = start.caliper;
    this.fast = start.caliper;
    this.vigour = start.vigour;
    this.reserve = RESERVE_CAP[this.vigour];
    this.roots = start.rooted ? ROOTS.share.value * massOf(start.caliper) : 0;
    this.stand(start.container, start.sown ?? start.plants);
    this.seen = start.seen.toSorted((a, b) => a.day - b.day);
    this.track = { day: this.day, caliper: this.caliper, before: null };
  }

  get height(): number {
    const m = this.measuredHeight;
    return m ? m.height * (this.caliper / Math.max(m.caliper, 0.1)) ** 0.5 : SLENDERNESS.value * this.caliper;
  }

  /**
   * Share of the container that roots fill on a day, 0..1: at 1 they circle and ask for a move; 0 in the ground.
   * The day is the plant's own or one to come, were nothing done to it until then.
   */
  fill(on: Day): number {
    const then = on > this.day ? this.clone().advance(on) : this;
    if (then.litres === Infinity) return 0;
    return Math.min(1, then.roots / (ROOTS.boundAt.value * then.litres));
  }

  private stand(into: string, plants: number): void {
    const kind = container(into);
    this.litres = kind.wall === 'ground' ? Infinity : roomPerPlant(kind, plants);
    this.wall = kind.wall;
    // planted anew it settles anew, also where it was lifted from the same row
    if (kind.wall === 'ground') this.settling = 1;
  }

  /** A plant of its own from here on. Field by field: it is asked for many times in every plan. */
  clone(): Plant {
    const p = Object.create(Plant.prototype) as Plant;
    p.start = this.start;
    p.seen = this.seen;
    p.taken = this.taken;
    p.day = this.day;
    p.caliper = this.caliper;
    p.slow = this.slow;
    p.fast = this.fast;
    p.measuredHeight = this.measuredHeight;
    p.crown = this.crown;
    p.reserve = this.reserve;
    p.vigour = this.vigour;
    p.litres = this.litres;
    p.wall = this.wall;
    p.roots = this.roots;
    p.lastMajor = this.lastMajor;
    p.lastRoots = this.lastRoots;
    p.rings = this.rings;
    p.settling = this.settling;
    p.undisturbed = this.undisturbed;
    p.measuredIn = this.measuredIn;
    p.track = this.track;
    return p;
  }

  /** Lets the plant grow until a day, taking in what was measured on the way. */
  advance(to: Day): this {
    while (this.taken < this.seen.length && this.seen[this.taken].day <= to) {
      const seen = this.seen[this.taken++];
      this.growTo(seen.day);
      this.takeIn(seen);
    }
    this.growTo(to);
    return this;
  }

  private takeIn({ day, size, vigour, container: into }: Seen): void {
    if (size) {
      if (size.caliper !== null) this.measured(size.caliper);
      if (size.height !== null) this.measuredHeight = { height: size.height, caliper: this.caliper };
      this.measuredIn = this.start.seasons.seasonOf(day);
    }
    if (vigour !== undefined) {
      this.vigour = vigour;
      this.reserve = Math.min(this.reserve, RESERVE_CAP[vigour]);
    }
    if (into !== undefined) this.stand(into, this.start.plants);
  }

  /** A measured plant is as thick as it was measured, and its roots are in keeping. */
  private measured(caliper: number): void {
    this.roots *= massOf(caliper) / massOf(this.caliper);
    this.caliper = caliper;
    this.slow = caliper;
    this.fast = caliper;
  }

  private growTo(to: Day): void {
    const { seasons } = this.start;
    while (this.day < to) {
      const season = seasons.seasonOf(this.day);
      const end = Math.min(to, seasons.span(season).to + 1);
      this.growWithin(end);
      if (end > seasons.span(season).to) this.closeSeason(season);
      this.day = end;
    }
  }

  private growWithin(to: Day): void {
    const { taxon, tolerance, seasons } = this.start;
    const share = seasonsBetween(seasons, this.day, to);
    if (share <= 0) return;
    const laid = growthBetween(seasons, this.day, to);
    const rate = tolerance.crownRecovery.value;
    const settle = this.settling > 0 ? FIRST_SEASON : 1;
    const factor =
      crownMean(this.crown, rate, share) * VIGOUR_FACTOR[this.vigour] * WALL_FACTOR[this.wall].value * settle;
    const ring = FREE_RING[taxon.pace].value;
    const before = massOf(this.caliper);
    this.caliper = grow(this.caliper, ring, factor, this.litres, laid);
    this.slow = grow(this.slow, ring, factor * YEARS_DIFFER.slow.value, this.litres, laid);
    this.fast = grow(this.fast, ring, factor * YEARS_DIFFER.fast.value, this.litres, laid);
    this.roots += ROOTS.share.value * (massOf(this.caliper) - before);
    this.track = { day: to, caliper: this.caliper, before: this.track };
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
    const { caliper, slow, fast } = this;
    this.rings = [...this.rings, { season, caliper, slow, fast, measured: this.measuredIn === season }];
  }

  /** Takes the loss of a step and moves into its container. */
  suffer(root: number, top: number, title: string, into: string | null): void {
    this.reserve = Math.max(0, this.reserve - reserveDrop(this.start.tolerance, this.vigour, root, top));
    this.crown *= 1 - top;
    this.roots *= 1 - root;
    if (root > MAJOR || top > MAJOR) {
      this.lastMajor = { day: this.day, title };
      this.undisturbed = 0;
    }
    if (root > LOOSENED) this.lastRoots = { day: this.day, title };
    if (into !== null) this.stand(into, this.start.plants);
  }

  /** Caliper at the base on a day up to today, mm. */
  private caliperOn(day: Day): number {
    let after: Track | null = null;
    for (let t: Track | null = this.track; t; t = t.before) {
      if (t.day <= day) {
        if (!after) return t.caliper;
        const { seasons } = this.start;
        const whole = growthBetween(seasons, t.day, after.day);
        const part = whole > 0 ? growthBetween(seasons, t.day, day) / whole : 0;
        return t.caliper + part * (after.caliper - t.caliper);
      }
      after = t;
    }
    return after!.caliper;
  }

  /**
   * Growth of a part between two days, mm of diameter. Area grows with the crown above it (pipe model, Shinozaki et al.
   * 1964), and below the crown by the same amount at every height (Pressler's law), so that a thinner stem gains more
   * in diameter than the base does.
   *
   * @example plant.swelling({ of: 0.2, share: 0.05 }, from, to) // a branch with a twentieth of the crown
   */
  swelling(part: Segment | Stretch, from: Day, to: Day): number {
    const grown = to > this.day ? this.clone().advance(to) : this;
    const before = grown.caliperOn(from);
    const after = grown.caliperOn(to);
    const { of, share } = stretchOf(part);
    if (of === 1 && share === 1) return after - before;
    const thick = of * before;
    return Math.sqrt(Math.max(0, thick ** 2 + share * (after ** 2 - before ** 2))) - thick;
  }

  /**
   * The first day in `from`..`latest` by which a part has swollen by so many mm since `since`; null when it has not
   * by then. Asked of a plant as it stood then.
   */
  swollenOn(part: Segment | Stretch, mm: number, since: Day, from: Day, latest: Day): Day | null {
    const grown = this.clone().advance(latest);
    const swollen = (day: Day) => grown.swelling(part, since, day);
    if (swollen(latest) < mm) return null;
    let low = from;
    let high = latest;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (swollen(mid) >= mm) high = mid;
      else low = mid + 1;
    }
    return low;
  }

  /** Diameter of a part on a day, mm. */
  thickness(part: Segment | Stretch, on: Day): number {
    return stretchOf(part).of * this.caliperOn(on);
  }
}
