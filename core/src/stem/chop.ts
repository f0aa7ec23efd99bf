import type { LabStart } from '../lab/index.ts';
import { EASE, type Taxon } from '../taxa/index.ts';
import { plural } from '../words/index.ts';
import { seasonsToClose } from './closing.ts';
import { isAlive, isShoot, partWords, stemAt, type StemPart, type StemRecord } from './record.ts';

/** How a trunk comes to its finished shape: height to thickness at the base. Common practice, no source. */
export const STYLES = [
  { id: 'stout', name: 'stout', ratio: 5 },
  { id: 'usual', name: 'as most', ratio: 7 },
  { id: 'slender', name: 'slender', ratio: 12 },
] as const;
export type StyleId = (typeof STYLES)[number]['id'];

/** Ways of coming to the cut; the school of that name (core/data/schools.ts). */
export const CHOP_WAYS = ['staged', 'hard', 'sacrifice', 'bend'] as const;
export type ChopWay = (typeof CHOP_WAYS)[number];

export interface ChopAsk {
  record: StemRecord;
  kind: Taxon;
  /** mm */
  finished: number;
  style: StyleId;
  way: ChopWay;
  /** school of wounds: by-kind, sealed, dry or powder */
  wounds: string;
  /** the plant as it would be cut next spring */
  start: LabStart;
  /** how the kind breaks below a cut, 0..1 */
  breaks: number;
}

/** What speaks for a cut or against it. */
export interface ChopTerm {
  label: string;
  points: number;
}

/** A cut that can be made. */
export interface ChopCut {
  /** mm above the soil */
  at: number;
  /** what leads after it; null: whichever bud below breaks best */
  leader: StemPart | null;
  /** mm across, and seasons until it is shut; null: not within 25 */
  wound: number;
  shut: number | null;
  /** it stays open so long that it is carved into a feature instead of waited for */
  carve: boolean;
  /** left above the cut for now, mm; comes off when the leader has grown a season */
  stub: number;
  points: number;
  terms: ChopTerm[];
  /** living parts below that are thicker than what would lead */
  thicker: StemPart[];
  /** buds and shoots below that can take over if it fails */
  inHand: number;
  /** what is done, in order */
  steps: string[];
  /** what the cut-off can become */
  gives: string[];
}

export interface ChopPlan {
  /** base a tree of that height and style wants, and has, mm */
  base: { wanted: number; now: number };
  /** where the first cut belongs, mm */
  band: { from: number; to: number };
  /** best first */
  cuts: ChopCut[];
  refused: { at: number; why: string }[];
}

/** The first cut lies in this part of the finished height. Common practice, no source. */
const BAND = [1 / 3, 2 / 3] as const;
/** Cuts are thought of a little outside of it too. */
const AROUND = 0.15;
/** A leader this thick against the stem it continues makes an even line. Common practice, no source. */
const EVEN = 0.5;
/** A shoot up to this can be wired into the new line, mm. Common practice, no source. */
const BENDS = 8;
/** So many seasons open harm nothing. Common practice, no source. */
const SOON_SHUT = 3;
/** A cut of which nothing comes costs so many points. Common practice, no source. */
const FAILS = 8;
/** A wound that is not shut within so many seasons may be carved, which costs so many points. Common practice, no source. */
const WAITS = 12;
const CARVED = 2.5;
/** A cutting wants so much of a shoot, and a layer so much of a stem, mm. Common practice, no source. */
const CUTTING = 120;
const LAYER = 8;
/** A grower's own word on what is to lead weighs so many points. Common practice, no source. */
const SAID = 2;
/** Shoots of some kinds die back to below the cut: so much is left, of the thickness there. Common practice, no source. */
const STUB: Partial<Record<Taxon['group'], number>> = {
  'deciduous-broadleaf': 1,
  'oak-like': 1,
  'tropical-broadleaf': 0.7,
  'evergreen-broadleaf': 0.7,
  'sensitive-shrub': 1,
  'deciduous-conifer': 0.5,
};

/** What is done with a wound that would stay open for long. */
const CARVE_WORDS =
  'Once callus rolls over the edge: carve what is still open along the grain, so that water runs off, and keep it as a feature';

/** The spring the cut is made in: half of it first where it is staged. */
function stepsOf(ask: ChopAsk, at: number, leader: StemPart | null, stub: number, carve: boolean): string[] {
  const { record, way, kind } = ask;
  const name = leader ? `the ${partWords(leader)}` : 'the shoots that break';
  const cut = leader
    ? `Cut at ${Math.round(at + stub)} mm, sloped so that water runs off behind ${name}`
    : `Cut flat at ${Math.round(at + stub)} mm, above the buds`;
  const steps: string[] = [];
  if (way === 'staged') {
    const half = Math.round(at + (record.height - at) / 2);
    steps.push(`First spring: shorten the top to ${half} mm, so that what is below wakes`);
    steps.push(`A season later: ${cut.charAt(0).toLowerCase()}${cut.slice(1)}`);
  } else if (way === 'bend' && leader) {
    steps.push(`Wire ${name} up into the line while it bends`);
    steps.push(`When it has set: ${cut.charAt(0).toLowerCase()}${cut.slice(1)}`);
  } else steps.push(cut);
  if (stub > 0) steps.push(`When ${name} grew a season: take the stub off, ${Math.round(stub)} mm`);
  steps.push(woundWords(ask, kind));
  if (carve) steps.push(CARVE_WORDS);
  if (!leader)
    steps.push('Some weeks later: one shoot leads, one is kept in hand, the rest by when it stands');
  return steps;
}

/** Sealed or not, by the school, else by kind: resin does it for conifers. Common practice, no source. */
function woundWords({ wounds }: ChopAsk, kind: Taxon): string {
  const conifer = ['pine', 'juniper-cypress', 'deciduous-conifer'].includes(kind.group);
  if (wounds === 'sealed' || (wounds === 'by-kind' && !conifer && kind.bark === 'smooth'))
    return 'Pare the edge with a clean knife and seal it';
  if (wounds === 'powder') return 'Pare the edge with a clean knife and powder it';
  return conifer
    ? 'Leave the wound dry: resin closes it'
    : 'Pare the edge with a clean knife and leave it dry';
}

function givesOf({ record, kind }: ChopAsk, at: number): string[] {
  const gives: string[] = [];
  const shoots = record.parts.filter((p) => isShoot(p) && p.height > at).length + 1;
  const long = Math.max(0, Math.floor((record.height - at) / CUTTING));
  const ease = Object.values(kind.roots).filter((e) => e !== 'hardly');
  if (ease.length > 0 && long > 0) gives.push(`cuttings: about ${plural(long + shoots - 1, 'piece')}`);
  if (kind.layering !== 'hardly' && stemAt(record, at) >= LAYER)
    gives.push(`a layer instead of a cut: ${EASE[kind.layering].words}, and the top is a plant of its own`);
  return gives;
}

/** One cut thought through. */
function cutAt(ask: ChopAsk, at: number, leader: StemPart | null): ChopCut {
  const { record, kind, finished, start } = ask;
  const wound = stemAt(record, at);
  const below = record.parts.filter((p) => isAlive(p) && p.height < at && p.id !== leader?.id);
  const inHand = below.filter((p) => p.kind !== 'sacrifice' && p.height > at - finished / 3).length;
  const thicker = leader ? below.filter((p) => p.diameter > leader.diameter) : [];
  const shut = seasonsToClose(start, [{ year: start.year, do: 'chop', height: at }], at, wound);
  const [from, to] = BAND.map((part) => part * finished);
  const carve = shut === null || shut > WAITS;
  const open = Math.max(0, (shut ?? WAITS) - SOON_SHUT);
  const off = Math.max(0, from - at, at - to) / finished;
  const even = leader ? leader.diameter / wound : 0;
  const terms: ChopTerm[] = [
    { label: 'in the third to two thirds of the finished height', points: -20 * off },
    {
      label: leader ? 'even line from stem to leader' : 'no leader yet',
      points: leader ? 3 * Math.min(1, even / EVEN) : 0,
    },
    { label: 'you want it to lead', points: leader?.role === 'leader' ? SAID : 0 },
    { label: 'thicker parts below', points: -1.5 * thicker.length },
    { label: 'others in hand if it fails', points: Math.min(2, inHand) * 0.5 },
    {
      label: 'may not break',
      points: leader && leader.kind !== 'bud' ? 0 : -FAILS * (1 - ask.breaks),
    },
    { label: carve ? 'wound, carved' : 'wound', points: carve ? -CARVED : -0.25 * open },
  ];
  if (ask.way === 'bend')
    terms.push({ label: 'a shoot that still bends', points: leader && leader.diameter <= BENDS ? 2 : -2 });
  const stub = (STUB[kind.group] ?? 0) * (leader && leader.kind !== 'bud' ? 0.5 : 1) * wound;
  return {
    at,
    leader,
    wound,
    shut,
    stub: Math.min(stub, record.height - at),
    points: terms.reduce((sum, t) => sum + t.points, 0),
    terms: terms.filter((t) => Math.abs(t.points) > 0.05),
    thicker,
    inHand,
    carve,
    steps: stepsOf(ask, at, leader, Math.min(stub, record.height - at), carve),
    gives: givesOf(ask, at),
  };
}

/**
 * Where a stem may be cut so that a tree of a finished height and style comes of it: at every living part that could
 * lead, and above buds alone, best first, each with its wound, how long that stays open, and what speaks for it. A kind
 * that does not sprout from bare wood is never cut below its last living part.
 */
export function chopPlan(ask: ChopAsk): ChopPlan {
  const { record, kind, finished } = ask;
  const [from, to] = BAND.map((part) => part * finished);
  const reach = AROUND * finished;
  const within = (h: number) => h >= from - reach && h <= to + reach && h < record.height;
  const refused: ChopPlan['refused'] = [];
  const cuts: ChopCut[] = [];
  for (const p of record.parts.filter((x) => isAlive(x) && within(x.height))) {
    // a cut goes through above the part, not through its foot
    const at = Math.min(record.height - 1, p.height + Math.max(2, p.diameter / 2));
    cuts.push(cutAt(ask, at, p));
  }
  const middle = Math.min((from + to) / 2, record.height * 0.9);
  const living = record.parts.filter((p) => isAlive(p) && p.height <= middle);
  if (kind.sproutsOld) cuts.push(cutAt(ask, middle, null));
  else
    refused.push({
      at: middle,
      why:
        living.length === 0
          ? `${kind.name} does not sprout from bare wood, and nothing alive stands below ${Math.round(middle)} mm`
          : `${kind.name} does not sprout from bare wood: cut to a living branch, not between`,
    });
  if (record.height <= from)
    refused.push({ at: record.height, why: 'it is no higher yet than where the first cut belongs' });
  const { ratio } = STYLES.find((s) => s.id === ask.style)!;
  return {
    base: { wanted: finished / ratio, now: record.base },
    band: { from, to },
    cuts: record.height <= from ? [] : cuts.toSorted((a, b) => b.points - a.points),
    refused,
  };
}
