import { atViewer, tooThick } from './branches.ts';
import { isAlive, isShoot, sideBetween, stemAt, type StemPart, type StemRecord } from './record.ts';

/** What is wrong with a part, the gravest first. */
export const BRANCH_FAULTS = [
  'stub',
  'inward',
  'whorl',
  'double',
  'thick',
  'viewer',
  'upward',
  'crowded',
] as const;
export type BranchFault = (typeof BRANCH_FAULTS)[number];

export const BRANCH_FAULT_WORDS: Readonly<Record<BranchFault, string>> = {
  stub: 'a dead stub: it is off once callus stands around it',
  inward: 'grows back into the stem',
  whorl: 'one of a whorl: two stay, or the stem swells there',
  double: 'two at one height on one side: one stays',
  thick: 'thicker than half of the stem it stands on: it will take over',
  viewer: 'points at the viewer low down',
  upward: 'goes straight up beside the leader',
  crowded: 'nearer to the one below than that to its own',
};

/** Parts nearer to each other than this are at one height, of the stem's thickness there. Common practice, no source. */
const LEVEL = 0.6;
/** Three and more at one height are a whorl, of which so many stay. Common practice, no source. */
const WHORL = 3;
const WHORL_KEEPS = 2;
/** Two closer than this, degrees, stand on one side. Common practice, no source. */
const ONE_SIDE = 60;
/** Rising so steeply a branch goes up beside the leader, or back into the stem, degrees. Common practice, no source. */
const UPWARD = 70;
const INWARD = 92;
/** Spacing shortens upward: a gap may be so many times the one below before it is told. Common practice, no source. */
const SPACING = 1.15;

/** What a grower has decided about is not taken off by rule. */
const isMeant = (p: StemPart): boolean => p.role === 'leader' || p.role === 'first' || p.role === 'back';

/** Living parts of one height, from the lowest group up; a part stands in one group alone. */
export function levelsOf(record: StemRecord): StemPart[][] {
  const parts = record.parts
    .filter((p) => isAlive(p) && p.kind !== 'sacrifice')
    .toSorted((a, b) => a.height - b.height);
  const levels: StemPart[][] = [];
  for (const p of parts) {
    const last = levels.at(-1);
    const near = last && p.height - last[0].height <= LEVEL * stemAt(record, p.height);
    if (near) last.push(p);
    else levels.push([p]);
  }
  return levels;
}

/** How good a part is as one that stays: decided about, not at the viewer, in proportion. */
function worth(p: StemPart, record: StemRecord, finished: number): number {
  const role = isMeant(p) ? 8 : p.role === 'reserve' ? 3 : 0;
  const weak = p.vitality === 'weak' ? -1 : p.vitality === 'asleep' ? -2 : 0;
  return role + weak - (atViewer(p, record, finished) ? 4 : 0) - (tooThick(p, record) ? 2 : 0);
}

/** The two of a whorl that stay: the best pair, and the farther apart the better. */
export function whorlKeeps(whorl: readonly StemPart[], record: StemRecord, finished: number): StemPart[] {
  let best: { pair: StemPart[]; points: number } = { pair: whorl.slice(0, WHORL_KEEPS), points: -Infinity };
  for (let i = 0; i < whorl.length; i++)
    for (let j = i + 1; j < whorl.length; j++) {
      const pair = [whorl[i], whorl[j]];
      const apart = sideBetween(whorl[i].azimuth, whorl[j].azimuth) / 60;
      const points = apart + pair.reduce((n, p) => n + worth(p, record, finished), 0);
      if (points > best.points) best = { pair, points };
    }
  return best.pair;
}

/** Faults of every part, by its id; parts without one are not in it. */
export function branchFaults(record: StemRecord, finished: number): Map<string, BranchFault[]> {
  const faults = new Map<string, BranchFault[]>();
  const say = (p: StemPart, fault: BranchFault) => faults.set(p.id, [...(faults.get(p.id) ?? []), fault]);
  for (const p of record.parts) {
    if (p.kind === 'stub') say(p, 'stub');
    if (!isAlive(p) || p.kind === 'sacrifice') continue;
    const rise = p.rise ?? 0;
    if (rise >= INWARD) say(p, 'inward');
    else if (rise >= UPWARD && p.role !== 'leader' && p.kind !== 'bud') say(p, 'upward');
    if (p.role !== 'leader' && tooThick(p, record)) say(p, 'thick');
    if (p.kind !== 'bud' && p.role !== 'back' && atViewer(p, record, finished)) say(p, 'viewer');
  }
  for (const level of levelsOf(record)) {
    const shoots = level.filter((p) => isShoot(p));
    if (shoots.length >= WHORL) {
      const stays = new Set(whorlKeeps(shoots, record, finished));
      for (const p of shoots) if (!stays.has(p)) say(p, 'whorl');
      continue;
    }
    if (shoots.length !== 2 || sideBetween(shoots[0].azimuth, shoots[1].azimuth) >= ONE_SIDE) continue;
    const [a, b] = shoots.map((p) => worth(p, record, finished));
    say(a < b ? shoots[0] : shoots[1], 'double');
  }
  for (const p of crowdedOf(record, finished)) say(p, 'crowded');
  return faults;
}

/** Branches that were chosen though they stand farther from the one below than that from its own: spacing grows upward. */
function crowdedOf(record: StemRecord, finished: number): StemPart[] {
  const chosen = record.parts
    .filter((p) => p.role === 'first' || p.role === 'back')
    .filter((p) => p.height < finished)
    .toSorted((a, b) => a.height - b.height);
  return chosen.filter((p, i) => {
    if (i < 2) return false;
    const gap = p.height - chosen[i - 1].height;
    return gap > SPACING * (chosen[i - 1].height - chosen[i - 2].height);
  });
}

/** Crown that may go at one time, 0..1, by vigour 1 to 5. Common practice, no source. */
const MAY_GO = [0, 0, 0.15, 0.3, 0.4, 0.5];
/** A shoot without a thickness weighs as one of so many mm. */
const LEAST_MM = 0.5;

/** One part that is to come off. */
export interface BranchCut {
  part: StemPart;
  faults: BranchFault[];
  /** of the crown that goes with it, 0..1 */
  share: number;
}

export interface CleanUp {
  now: BranchCut[];
  /** what waits for another year, since enough of the crown has gone */
  later: BranchCut[];
  /** of the crown that goes now, and that may go, 0..1 */
  takes: number;
  limit: number;
}

/**
 * What comes off a stem, the gravest fault first, and no more of the crown than a plant of its vigour bears in one year;
 * what was decided about stays. The crown of a part goes with its cross-section (pipe model, Shinozaki et al. 1964).
 * Deciding which fault is graver: common practice, no source.
 */
export function cleanUp(record: StemRecord, finished: number, vigour: number): CleanUp {
  const faults = branchFaults(record, finished);
  const weight = (p: StemPart) => (isShoot(p) ? Math.max(LEAST_MM, p.diameter) ** 2 : 0);
  // what stands above the last branch counts as the leader
  const all = record.parts.reduce((n, p) => n + weight(p), 0) + stemAt(record, finished) ** 2;
  const gravest = (f: readonly BranchFault[]) => Math.min(...f.map((x) => BRANCH_FAULTS.indexOf(x)));
  const asked = record.parts
    .filter((p) => faults.has(p.id) && !isMeant(p))
    .map((part): BranchCut => ({ part, faults: faults.get(part.id)!, share: weight(part) / all }))
    .toSorted((a, b) => gravest(a.faults) - gravest(b.faults) || b.share - a.share);
  const limit = MAY_GO[Math.min(5, Math.max(1, Math.round(vigour)))];
  const out: CleanUp = { now: [], later: [], takes: 0, limit };
  for (const cut of asked) {
    if (out.takes + cut.share <= limit + 1e-9) {
      out.now.push(cut);
      out.takes += cut.share;
    } else out.later.push(cut);
  }
  return out;
}
