import { SHORTEST } from '../../data/root-values.ts';
import type { Terms } from './choices.ts';
import { ofHundred } from './apply.ts';
import { isDownward, type Root, type RootRecord } from './record.ts';
import { solve } from './solve.ts';

const RAD = Math.PI / 180;

/** Where a plant could sit: the level taken as the root plane, and a tilt towards a direction. */
export interface Pose {
  /** of the new plane, mm above the record's */
  height: number;
  /** degrees the trunk leans, and the direction it leans to */
  tilt: number;
  towards: number;
}

/** The record as it is seen at a pose: heights and angles against the new plane. */
export function posed(record: RootRecord, { height, tilt, towards }: Pose): RootRecord {
  const edge = (record.trunk / 2) * Math.sin(tilt * RAD);
  return {
    ...record,
    roots: record.roots.map((r) => {
      const part = Math.cos((r.azimuth - towards) * RAD);
      return { ...r, height: r.height - height - edge * part, angle: r.angle + tilt * part };
    }),
  };
}

/** Levels closer than this are one deck, in trunks. */
const DECK = 0.25;

/** Levels at which roots stand together, mm, thickest deck first. */
export function decksOf(record: RootRecord): number[] {
  const roots = record.roots.filter((r) => !isDownward(r)).toSorted((a, b) => a.height - b.height);
  const decks: Root[][] = [];
  for (const r of roots) {
    const last = decks.at(-1);
    if (last && r.height - last[last.length - 1].height <= DECK * record.trunk) last.push(r);
    else decks.push([r]);
  }
  const area = (deck: Root[]) => deck.reduce((sum, r) => sum + r.diameter ** 2, 0);
  return decks
    .toSorted((a, b) => area(b) - area(a))
    .map((d) => d.reduce((sum, r) => sum + r.height * r.diameter ** 2, 0) / area(d));
}

export interface PoseAnswer {
  pose: Pose;
  /** of a hundred, after the best cuts at this pose */
  score: number;
  points: number;
  /** feeders that go, 0..1 */
  share: number;
  /** roots that stay, and how many of them only here */
  kept: number;
  gone: number;
  proved: boolean;
}

const TILTS = [5, 10];
const WAYS = [0, 45, 90, 135, 180, 225, 270, 315];
const DECKS = 3;

/** Planes and tilts compared, the best first: each deck upright, and the best of them tilted. */
export function comparePoses(record: RootRecord, terms: Terms, limit: number): PoseAnswer[] {
  const quick: Terms = { ...terms, only: ['keep', 'shorten', 'remove'], overruled: undefined };
  const answer = (pose: Pose): PoseAnswer | null => {
    const solved = solve(posed(record, pose), quick, limit);
    if (!solved) return null;
    const gone = solved.choices.filter((c) => c.length < SHORTEST.value * record.trunk).length;
    return {
      pose,
      score: ofHundred(solved.score),
      points: solved.score.points,
      share: solved.cost / 1000,
      kept: record.roots.length - gone,
      gone,
      proved: solved.proved,
    };
  };
  const best = (all: (PoseAnswer | null)[]) =>
    all.filter((a): a is PoseAnswer => a !== null).sort((a, b) => b.points - a.points);
  const decks = [...new Set([0, ...decksOf(record).slice(0, DECKS)].map((h) => Math.round(h * 10) / 10))];
  const upright = best(decks.map((height) => answer({ height, tilt: 0, towards: 0 })));
  if (upright.length === 0) return [];
  const { height } = upright[0].pose;
  const tilted = best(TILTS.flatMap((tilt) => WAYS.map((towards) => answer({ height, tilt, towards }))));
  return [...upright, ...tilted.slice(0, 3)].sort((a, b) => b.points - a.points);
}
