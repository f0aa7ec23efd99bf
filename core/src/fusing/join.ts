import { TIP } from '../lab/index.ts';
import { FIRST_BRANCH, isAlive, placesOf, sideBetween, type StemRecord } from '../stem/index.ts';
import { jointOf, type Joint } from './joint.ts';
import { STEP, type Lack } from './limits.ts';
import type { Member, Spot } from './member.ts';
import type { Group } from './solve.ts';
import { agreeWorth, GAPS, intoWorth, limbsInto, sectorsOf, TURNS, wayTo } from './value.ts';

/** A spot on a thicker tree where a thin stem fills what is missing. */
export interface JoinSpot {
  lacks: Lack;
  /** mm above the soil; 0: at the base */
  height: number;
  /** side of the tree, degrees clockwise from its mark */
  azimuth: number;
  /** how much is missing: degrees without a root, mm the trunk goes in, degrees to the nearest branch */
  by: number;
}

/** A side without a root for so many degrees is a gap. Common practice, no source. */
const BARE = 60;
/** A trunk that is thicker again higher up, by more than this part, goes in. Common practice, no source. */
const GOES_IN = 0.06;
/** Branches that are missing are looked for up to this part of the finished height. Common practice, no source. */
const UP_TO = 0.75;
/** Parts within this share of the height around a spot stand beside it. */
const BESIDE = 0.12;
/** Low down no branch points at the viewer, degrees either side of the front. */
const VIEWER = 45;

/** Sides without a root, the widest first. @example gapsOfRoots([0, 90, 180])[0] // { azimuth: 270, gap: 180 } */
export function gapsOfRoots(azimuths: readonly number[]): { azimuth: number; gap: number }[] {
  if (azimuths.length === 0) return [{ azimuth: 180, gap: 360 }];
  const sorted = azimuths.toSorted((a, b) => a - b);
  return sorted
    .map((from, i) => {
      const to = i + 1 < sorted.length ? sorted[i + 1] : sorted[0] + 360;
      return { azimuth: (from + (to - from) / 2) % 360, gap: to - from };
    })
    .toSorted((a, b) => b.gap - a.gap || a.azimuth - b.azimuth);
}

/** The emptiest side of a stem at a height, and how far the nearest part stands from it, degrees; a side before the back. */
function emptiest(record: StemRecord, height: number, low: boolean): { azimuth: number; apart: number } {
  const near = record.parts.filter(
    (p) => isAlive(p) && Math.abs(p.height - height) <= BESIDE * record.height,
  );
  const sides = Array.from({ length: 360 / STEP }, (_, i) => {
    const azimuth = i * STEP;
    const apart = Math.min(180, ...near.map((p) => sideBetween(p.azimuth, azimuth)));
    return { azimuth, apart, off: sideBetween(azimuth, record.front) };
  }).filter((s) => !low || s.off >= VIEWER);
  const [best] = sides.toSorted((a, b) => b.apart - a.apart || Math.abs(a.off - 90) - Math.abs(b.off - 90));
  return best;
}

/** Where the trunk is thinner than it is higher up. */
function dents(record: StemRecord): JoinSpot[] {
  const known = [{ at: 0, mm: record.base }, ...record.girths.toSorted((a, b) => a.at - b.at)];
  return known.flatMap(({ at, mm }, i) => {
    const above = Math.max(0, ...known.slice(i + 1).map((g) => g.mm));
    if (above <= mm * (1 + GOES_IN)) return [];
    return [
      { lacks: 'line' as const, height: at, azimuth: emptiest(record, at, false).azimuth, by: above - mm },
    ];
  });
}

/** Heights at which a branch is wanted and none stands. */
const missing = (record: StemRecord, finished: number): JoinSpot[] =>
  placesOf(record, finished)
    .filter((p) => p.part === null && p.height < Math.min(UP_TO * finished, record.height))
    .map(({ height }) => {
      const { azimuth, apart } = emptiest(record, height, height < FIRST_BRANCH * 2 * finished);
      return { lacks: 'branch', height, azimuth, by: apart };
    });

/**
 * Where a thin stem could be joined to a tree: at the base where no root is, at a place where the trunk goes in, and where
 * a branch is missing. `stem`: null where none was drawn; `finished`: mm, null where it was not thought of. Common
 * practice, no source.
 */
export function joinSpots(
  roots: readonly number[],
  stem: StemRecord | null,
  finished: number | null,
): JoinSpot[] {
  const bare = roots.length === 0 ? [] : gapsOfRoots(roots).filter((g) => g.gap > BARE);
  return [
    ...bare.map(({ azimuth, gap }) => ({ lacks: 'root' as const, height: 0, azimuth, by: gap })),
    ...(stem ? dents(stem) : []),
    ...(stem && finished !== null ? missing(stem, finished) : []),
  ];
}

/** Thickness of a stem at a height, mm: a cone to its tip. @example thickAt({ base: 21.5, height: 400 }, 200) // 11.5 */
export const thickAt = ({ base, height }: Pick<Member, 'base' | 'height'>, at: number): number =>
  TIP + (base - TIP) * (1 - Math.min(1, Math.max(0, at / height)));

/** How a thin stem would do at a spot. */
export interface Suiting {
  /** mm of it from the soil to where it is joined */
  reach: number;
  /** mm it is thick there, how thick the tree is there, and the most that suits */
  thick: number;
  trunk: number;
  most: number;
  suits: 'yes' | 'too short' | 'too thick';
}

/** So much of a stem has to go on beyond the joint. Common practice, no source. */
const GOES_ON = 0.15;
/** A branch is no thicker than half of the trunk it stands on. Common practice, no source. */
const OF_TRUNK: Readonly<Record<Lack, number>> = { root: 1, line: 1, branch: 0.5 };

type Sized = Pick<Member, 'base' | 'height'>;

/**
 * A thin stem planted against a tree and joined to it at a spot. Throws RangeError where the spot is not on the tree.
 *
 * @example suiting({ lacks: 'branch', height: 200 }, tree, whip).suits // 'yes'
 */
export function suiting(
  { lacks, height }: Pick<JoinSpot, 'lacks' | 'height'>,
  tree: Sized,
  thin: Sized,
): Suiting {
  if (height < 0 || height >= tree.height) throw new RangeError(`no spot of a tree ${tree.height} mm high`);
  const trunk = thickAt(tree, height);
  // it stands beside the base and leans to the trunk
  const aside = (tree.base + thin.base - trunk) / 2;
  const reach = height === 0 ? 0 : Math.hypot(height, aside);
  const thick = thickAt(thin, reach);
  const most = OF_TRUNK[lacks] * trunk;
  const short = reach > (1 - GOES_ON) * thin.height;
  return { reach, thick, trunk, most, suits: short ? 'too short' : thick > most ? 'too thick' : 'yes' };
}

/** When the two have grown into one, by the ring each lays down in a season, mm. */
export const jointThere = (at: Suiting, tree: number, thin: number, bound: boolean): Joint =>
  jointOf({ base: at.trunk, ring: tree }, { base: at.thick, ring: thin }, bound);

/** Where a thin stem stands that touches a tree on a side, mm from the tree's middle. */
export const besideOf = (tree: number, thin: number, azimuth: number): Spot => ({
  x: ((tree + thin) / 2) * Math.sin((azimuth * Math.PI) / 180),
  y: ((tree + thin) / 2) * Math.cos((azimuth * Math.PI) / 180),
});

/** How a thin stem is turned beside a tree, degrees: roots fill gaps, least runs under the tree, curves agree. */
export function turnBeside(tree: Member, thin: Member, azimuth: number): number {
  const way = wayTo(besideOf(tree.base, thin.base, azimuth), { x: 0, y: 0 });
  const own = sectorsOf(tree, 0);
  const worth = (turn: number) =>
    intoWorth(thin, turn, tree, way) + agreeWorth(tree, 0, thin, turn) + GAPS[own | sectorsOf(thin, turn)];
  const turns = Array.from({ length: TURNS }, (_, t) => t);
  return turns.reduce((best, t) => (worth(t) > worth(best) + 1e-9 ? t : best), 0) * STEP;
}

/** A tree with a thin stem against a side of it, as a group: the thin one’s roots that would run under the tree go. */
export function joinedGroup(tree: Member, thin: Member, azimuth: number): Group {
  const turn = turnBeside(tree, thin, azimuth);
  const spots = [{ x: 0, y: 0 }, besideOf(tree.base, thin.base, azimuth)];
  const way = wayTo(spots[1], spots[0]);
  const under = limbsInto(thin.roots, turn / STEP, way, tree.base);
  const bits = sectorsOf(tree, 0) | sectorsOf(thin, turn / STEP);
  return {
    stood: [
      { id: tree.id, place: 0, turn: 0 },
      { id: thin.id, place: 1, turn },
    ],
    spots,
    worth: 0,
    occupied: bits.toString(2).replaceAll('0', '').length,
    goes: under.map((index) => ({ id: thin.id, what: 'root', index, into: tree.id })),
  };
}
