import {
  AT_VIEWER,
  BENDS,
  CALLUS,
  CLEARANCE,
  FOLDS,
  POINTS,
  SHORTENED,
  SHORTEST,
  THICK,
  TURNS,
} from '../../data/root-values.ts';
import { turned, turnTo } from '../stats/index.ts';
import {
  along,
  crossingOf,
  fibreShares,
  isDownward,
  lengthOf,
  lineOf,
  type Root,
  type RootRecord,
  type Spot,
} from './record.ts';
import { ANGLE_BANDS, offBand, type RootAngle } from './schools.ts';
import { roomTowards, type Room } from './room.ts';

export const ACTIONS = ['keep', 'shorten', 'move', 'split', 'trim', 'remove'] as const;
export type Action = (typeof ACTIONS)[number];

/** What a root fills after an action: a direction, degrees, and how strong it is there (cross-section × length). */
export interface Arm {
  azimuth: number;
  strength: number;
}

/** One thing that may be done with a root, and what it comes to. */
export interface Choice {
  /** index of the root in the record */
  root: number;
  action: Action;
  /** what is left of it beyond the trunk, mm */
  length: number;
  /** degrees it is swung by; clockwise is positive */
  turn: number;
  /** degrees it is brought up (−) or down (+) at the trunk */
  bend: number;
  /** how it is held, where it is moved */
  by: string;
  /** feeders it costs, whole tenths of a per cent, rounded up */
  cost: number;
  /** points of the root by itself, and where they come from */
  value: number;
  terms: readonly Term[];
  /** it would still strangle */
  strangles: boolean;
  /** directions it fills, in order; none: nothing at the base */
  arms: readonly Arm[];
}

export interface Term {
  label: string;
  points: number;
}

/** What the plan is made under. */
export interface Terms {
  school: RootAngle;
  /** ring of free growth of the kind, mm a season: wounds close by it */
  ring: number;
  /** inside of the container it goes into, as the trunk stands in it; null: no wall is near */
  room: Room | null;
  /** actions that are thought of; all where none are named */
  only?: readonly Action[];
  /** direction the front looks to where it was decided, degrees; none: no side is the front yet */
  front?: number | null;
  /** what the grower has decided for roots, by id: the rest is solved around it */
  overruled?: Readonly<Record<string, Overrule>>;
}

export interface Overrule {
  action: Action;
  /** length it is shortened to, mm */
  length?: number;
  /** degrees it is swung by */
  turn?: number;
}

/** Two roots that cross, and how far along each, mm. */
export interface Crossing {
  one: number;
  other: number;
  at: readonly [number, number];
}

export const crossingsOf = (record: RootRecord): Crossing[] => {
  const lines = record.roots.map((r) => lineOf(r, record.trunk));
  return lines.flatMap((line, one) =>
    lines.slice(one + 1).flatMap((otherLine, k) => {
      const at = crossingOf(line, otherLine);
      return at ? [{ one, other: one + 1 + k, at }] : [];
    }),
  );
};

/** Seasons a round wound of this width takes to close, callus coming from both sides. */
export const yearsToClose = (mm: number, ring: number): number => mm / (2 * CALLUS.value * ring);

const sumOf = (terms: readonly Term[]) => terms.reduce((sum, t) => sum + t.points, 0);

/** Everything about a root that its choices are weighed by. */
interface Weighed {
  root: Root;
  index: number;
  line: Spot[];
  length: number;
  fibre: number;
  record: RootRecord;
  terms: Terms;
  /** stray from the record's plane, in trunks */
  plane: number;
}

/** Points of a root that stays: its place, its angle and what is wrong with it. */
function standing(w: Weighed, bend: number): Term[] {
  const { root, terms } = w;
  const has = (f: Root['faults'][number]) => root.faults.includes(f);
  if (has('dead')) return [{ label: 'dead', points: -POINTS.dead.value }];
  const out: Term[] = [];
  const add = (label: string, points: number) => {
    if (points !== 0) out.push({ label, points });
  };
  if (has('rotten')) add('rot would spread', -POINTS.rotten.value);
  if (isDownward(root)) {
    if (terms.school !== 'descending') add('goes down under the base', -POINTS.downward.value);
    return out;
  }
  add('a root at the base', POINTS.root.value);
  add('off the plane', -POINTS.height.value * Math.min(6, (w.plane / 0.2) ** 2));
  const off = offBand(root.angle + bend, ANGLE_BANDS[terms.school]);
  add(`angle, ${terms.school} school`, -POINTS.angle.value * (off / 10) ** 2);
  if (has('circling')) add('turns around the trunk', -POINTS.circling.value);
  if (has('ugly')) add('ugly at the flare', -POINTS.ugly.value);
  return out;
}

/** What the wall makes of a root of this length in this direction. */
function against(w: Weighed, length: number, turn: number): Term[] {
  const { room } = w.terms;
  if (!room || w.root.faults.includes('dead')) return [];
  if (isDownward(w.root)) {
    const over = length - room.depth;
    return over > 0 ? [{ label: 'deeper than the pot', points: -POINTS.inTheWay.value }] : [];
  }
  const end = along(w.line, length).spot;
  const out = Math.hypot(end.x, end.y);
  const azimuth = turned((Math.atan2(end.x, end.y) * 180) / Math.PI + turn);
  const over = out - (roomTowards(room, azimuth) - CLEARANCE.value);
  if (over <= 0) return [];
  return w.root.diameter > FOLDS.value
    ? [{ label: 'keeps the trunk from its place', points: -POINTS.inTheWay.value }]
    : [{ label: 'folded at the wall', points: -POINTS.folded.value }];
}

/** A root that comes straight at the viewer, the more so the thicker it is. */
function atFront(w: Weighed, turn: number): Term[] {
  const { front } = w.terms;
  if (front == null || isDownward(w.root) || w.root.faults.includes('dead')) return [];
  if (Math.abs(turnTo(w.root.azimuth + turn, front)) > AT_VIEWER.value) return [];
  const thick = Math.min(1, w.root.diameter / (THICK.value * w.record.trunk));
  return [{ label: 'straight at the viewer', points: -POINTS.atViewer.value * thick }];
}

const costOf = (share: number): number => Math.ceil(Math.min(1, share) * 1000 - 1e-9);

/** Feeders left on a root, as a term. */
const feeds = (w: Weighed, part: number): Term[] =>
  w.fibre * part === 0 ? [] : [{ label: 'fine root kept', points: POINTS.fibre.value * w.fibre * part }];

const strengthOf = (root: Root, length: number) => Math.max(0.01, root.diameter ** 2 * length);

function kept(w: Weighed, with_: Pick<Choice, 'action' | 'length' | 'turn' | 'bend' | 'by'>): Choice {
  const part = w.length === 0 ? 1 : with_.length / w.length;
  const moved = with_.action === 'move' ? [{ label: 'turned and held', points: -POINTS.moved.value }] : [];
  const terms = [
    ...standing(w, with_.bend),
    ...against(w, with_.length, with_.turn),
    ...atFront(w, with_.turn),
    ...feeds(w, part),
    ...moved,
  ];
  const bare = isDownward(w.root) || w.root.faults.includes('dead');
  return {
    ...with_,
    root: w.index,
    cost: costOf(w.fibre * (1 - part)),
    terms,
    value: sumOf(terms),
    strangles: w.root.faults.includes('strangling') && with_.length > w.record.trunk / 2,
    arms: bare ? [] : [{ azimuth: w.root.azimuth + with_.turn, strength: strengthOf(w.root, with_.length) }],
  };
}

function gone(w: Weighed): Choice {
  const under = isDownward(w.root);
  const years = yearsToClose(w.root.diameter, w.terms.ring);
  // what strangles lies on top of others, and is cut away from them; what is dead leaves no wound of its own
  const light = under || w.root.faults.includes('strangling') || w.root.faults.includes('dead');
  const each = light ? POINTS.woundUnder.value : POINTS.wound.value;
  const terms = [
    { label: `wound, closed in ${Math.max(1, Math.round(years))} seasons`, points: -each * years },
  ];
  return {
    root: w.index,
    action: under ? 'trim' : 'remove',
    length: 0,
    turn: 0,
    bend: 0,
    by: '',
    cost: costOf(w.fibre),
    terms,
    value: sumOf(terms),
    strangles: false,
    arms: [],
  };
}

/** A fork close to the trunk pulled apart: two roots of half the strength each. */
function apart(w: Weighed): Choice[] {
  const fork = w.root.forks.find((f) => f.at <= w.record.trunk && Math.abs(f.turn) >= 20);
  if (!fork || isDownward(w.root) || w.root.diameter > TURNS[1].upTo) return [];
  const plain = kept(w, { action: 'split', length: w.length, turn: 0, bend: 0, by: 'pinned down' });
  const share = fork.diameter ** 2 / (fork.diameter ** 2 + w.root.diameter ** 2);
  const strength = strengthOf(w.root, w.length);
  const arms = [
    { azimuth: w.root.azimuth - 10, strength: strength * (fork.turn < 0 ? share : 1 - share) },
    { azimuth: w.root.azimuth + 10, strength: strength * (fork.turn < 0 ? 1 - share : share) },
  ];
  const terms = [
    ...plain.terms,
    { label: 'a second root', points: POINTS.root.value },
    { label: 'split apart', points: -POINTS.splitting.value },
  ];
  return [{ ...plain, arms, terms, value: sumOf(terms) }];
}

/** Ways to turn a root, and to bring it to the school's angle. */
function moves(w: Weighed): Choice[] {
  const reach = TURNS.find((t) => w.root.diameter <= t.upTo);
  if (!reach || isDownward(w.root) || w.root.faults.includes('dead')) return [];
  const [from, to] = ANGLE_BANDS[w.terms.school];
  const wanted = w.root.angle < from ? from - w.root.angle : w.root.angle > to ? to - w.root.angle : 0;
  const bend = Math.sign(wanted) * Math.min(Math.abs(wanted), BENDS.value);
  const turns = bend === 0 ? [-reach.degrees, reach.degrees] : [-reach.degrees, 0, reach.degrees];
  return turns.map((turn) => kept(w, { action: 'move', length: w.length, turn, bend, by: reach.by }));
}

/** From this on a root runs down the rock it sits on, degrees below the horizontal. Common practice, no source. */
const DOWN_ROCK = 30;

/**
 * Lengths worth shortening to: parts of what there is, and what fits the container. A root that runs down a rock is what
 * will be seen of it, and feeds from its end: it is kept whole, or goes.
 */
function shortened(w: Weighed): Choice[] {
  if (w.record.under?.kind === 'rock' && w.root.angle >= DOWN_ROCK) return [];
  const least = SHORTEST.value * w.record.trunk;
  const lengths = SHORTENED.map((part) => Math.round(part * w.length)).filter((l) => l >= least);
  return lengths.map((length) => kept(w, { action: 'shorten', length, turn: 0, bend: 0, by: '' }));
}

/** The choice a grower has made for a root; what is not said of it is as the record has it. */
function decided(w: Weighed, { action, length, turn }: Overrule): Choice {
  const whole = { action, length: w.length, turn: 0, bend: 0, by: '' };
  if (action === 'remove' || action === 'trim') return gone(w);
  if (action === 'shorten') return kept(w, { ...whole, length: Math.min(w.length, length ?? w.length / 2) });
  if (action === 'split') return apart(w)[0] ?? kept(w, { ...whole, action: 'keep' });
  if (action === 'keep') return kept(w, whole);
  const by = TURNS.find((t) => w.root.diameter <= t.upTo)?.by ?? 'drawn by a guy';
  return kept(w, { ...whole, turn: turn ?? 0, by });
}

/** Everything that may be done with each root, in the order of the record. */
export function choicesOf(record: RootRecord, terms: Terms): Choice[][] {
  const fibres = fibreShares(record);
  const on = (action: Action) => !terms.only || terms.only.includes(action);
  return record.roots.map((root, index) => {
    const line = lineOf(root, record.trunk);
    const plane = root.height / record.trunk;
    const w = { root, index, line, length: lengthOf(line), fibre: fibres[index], record, terms, plane };
    const overrule = terms.overruled?.[root.id];
    if (overrule) return [decided(w, overrule)];
    return [
      kept(w, { action: 'keep', length: w.length, turn: 0, bend: 0, by: '' }),
      ...(on('shorten') ? shortened(w) : []),
      ...(on('move') ? moves(w) : []),
      ...(on('split') ? apart(w) : []),
      gone(w),
    ];
  });
}

/** Whether a choice ends a crossing on its side: gone, or cut short of it, or swung clear. */
export function ends(choice: Choice, crossing: Crossing, record: RootRecord): boolean {
  const first = choice.root === crossing.one;
  if (choice.length <= crossing.at[first ? 0 : 1]) return true;
  if (choice.turn === 0) return false;
  const own = lineOf(record.roots[choice.root], record.trunk, choice.turn);
  const other = lineOf(record.roots[first ? crossing.other : crossing.one], record.trunk);
  return crossingOf(own, other) === null;
}
