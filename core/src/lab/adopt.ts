import { toDay, type IsoDate } from '../calendar/index.ts';
import { container } from '../containers/index.ts';
import { contextOf } from '../course/context.ts';
import { plantOn, type CourseFacts } from '../course/index.ts';
import { seasonsBetween } from '../plant/index.ts';
import type { After, Programme, ProgrammeStep } from '../programmes/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { METHODS } from '../../data/thickening.ts';
import { PRUNED, ROOT_AT_LIFTING, ROOT_AT_MOVE, type Wish } from './wish.ts';

/** A course of the lab as a programme its cohort can follow. */
export interface Adopted {
  programme: Omit<Programme, 'id'>;
  /** what the course asks for that is no step of any programme: kept up by hand */
  byHand: string[];
}

/** So much of a season before a spring's growth begins, its work may be done. */
const EARLY = 0.15;
/** Growing seasons a sacrifice grows before it is thinned for the keepers' sake. Common practice, no source. */
const THIN_AFTER = 1.8;
/** The pot plants are trained in, whose root work is that of a training pot. */
const isTraining = (id: string): boolean => /^(training|show)-/.test(id);

/** A step of the course with the year in whose spring it is done; what comes first in a spring has the lower turn. */
interface Dated {
  year: number;
  turn: number;
  step: Omit<ProgrammeStep, 'after'>;
  /** seasons after another step of the course, where that is what counts */
  since?: After;
}

/** Ways of thickening that are work of their own. */
const METHOD_WORK: Readonly<Record<string, string>> = {
  fusing: 'fuse',
  tourniquet: 'tourniquet',
  'flare-cuts': 'scar-base',
};

function moves(w: Wish, inGround: boolean): Dated[] {
  const out: Dated[] = [];
  let ground = inGround;
  for (const [i, pot] of w.pots.toSorted((a, b) => a.year - b.year).entries()) {
    const kind = container(pot.container);
    const at = (key: string, operation: string, turn: number, more: Partial<ProgrammeStep>): Dated => ({
      year: pot.year,
      turn,
      step: { key: `${key}-${i + 1}`, operation, ...more },
    });
    const tile = w.methods.includes('tile') && !ground;
    if (tile) out.push(at('tile', 'tile-set', 0, {}));
    const into = { container: pot.container, title: `Into ${kind.name}` };
    if (kind.wall === 'ground')
      out.push(at('row', 'plant-out', 1, { container: pot.container, title: 'Plant into the ground row' }));
    else if (ground) out.push(at('lift', 'lift', 1, { ...into, rootLoss: ROOT_AT_LIFTING.value }));
    else {
      const work = isTraining(pot.container) ? 'training-pot' : 'root-work';
      out.push(at('move', work, 1, { ...into, rootLoss: ROOT_AT_MOVE.value }));
    }
    ground = kind.wall === 'ground';
  }
  return out;
}

function sacrifice(w: Wish): Dated[] {
  if (!w.sacrifice) return [];
  const { from, to, foliage } = w.sacrifice;
  const part = Math.round((100 * foliage) / (1 + foliage)) / 100;
  const out: Dated[] = [
    {
      year: from,
      turn: 3,
      step: {
        key: 'leave',
        operation: 'shoot-choice',
        title: `Choose the sacrifice at ${w.sacrifice.height} mm, let it grow`,
        topLoss: 0,
      },
    },
    {
      year: to,
      turn: 3,
      step: { key: 'off', operation: 'sacrifice-cut', topLoss: part },
    },
  ];
  if (to - from > THIN_AFTER + 1)
    out.push({
      year: from + Math.ceil(THIN_AFTER),
      turn: 4,
      step: { key: 'thin', operation: 'thin-sacrifice' },
      since: { step: 'leave', seasons: THIN_AFTER },
    });
  return out;
}

/** Winters in which shoots are cut back: not that of the chop, which does more. */
function winters(w: Wish, first: number, seasons: number): Dated[] {
  if (w.prune === 'none') return [];
  const topLoss = PRUNED[w.prune];
  return Array.from({ length: seasons }, (_, i) => first + i)
    .filter((year) => year !== w.chop?.year)
    .map((year) => ({ year, turn: 5, step: { key: `back-${year}`, operation: 'cut-back', topLoss } }));
}

function others(w: Wish, first: number): Dated[] {
  const out: Dated[] = w.methods.flatMap((m) =>
    m in METHOD_WORK ? [{ year: first, turn: 6, step: { key: m, operation: METHOD_WORK[m] } }] : [],
  );
  if (w.chop)
    out.push({
      year: w.chop.year,
      turn: 2,
      step: { key: 'chop', operation: 'chop', title: `Chop at ${w.chop.height} mm` },
    });
  if (w.carve && w.chop)
    out.push({ year: w.chop.year + 1, turn: 4, step: { key: 'carve-chop', operation: 'carve' } });
  if (w.carve && w.sacrifice)
    out.push({ year: w.sacrifice.to + 1, turn: 4, step: { key: 'carve-off', operation: 'carve' } });
  return out;
}

/** Ways of thickening for which there is no step: said, so that nobody thinks the plan will ask for them. */
const byHandOf = (w: Wish): string[] =>
  METHODS.filter((m) => w.methods.includes(m.id) && m.id !== 'tile' && !(m.id in METHOD_WORK)).map(
    (m) => m.name,
  );

/** Steps that are behind the cohort, waiting for nothing that is not. */
function keptSteps(behind: readonly ProgrammeStep[]): ProgrammeStep[] {
  const keys = new Set(behind.map((s) => s.key));
  return behind.map((s) => ({ ...s, after: s.after.filter((a) => keys.has(a.step)) }));
}

/** Names for steps of this course; one that was taken over before and partly done has its own. */
function nameIn(kept: readonly ProgrammeStep[]): (key: string) => string {
  const taken = (n: number) => kept.some((s) => s.key.startsWith(`lab${n}-`));
  let n = 1;
  while (taken(n)) n++;
  return (key) => `lab${n}-${key}`;
}

/**
 * Puts a course of the lab into the words of a programme: what is done of the cohort's own stays, and what the course
 * asks for follows it, each step so many growing seasons after the last one done. `seasons`: years the course runs.
 */
export function adopt(
  facts: CourseFacts,
  book: SeasonBook,
  today: IsoDate,
  w: Wish,
  first: number,
  seasons: number,
): Adopted {
  const ctx = contextOf(facts, book, today);
  const behind = facts.programme.steps.filter((s) =>
    ['done', 'dropped'].includes(facts.steps[s.key]?.status ?? ''),
  );
  const isDone = (s: ProgrammeStep) => facts.steps[s.key]?.status === 'done';
  const anchor = behind.findLast(isDone) ?? behind.at(-1) ?? facts.programme.steps[0];
  const since = toDay(facts.steps[anchor.key]?.doneOn ?? facts.startedOn);
  const passed = (year: number): number => {
    const spring = ctx.seasons.growing(year).from;
    return Math.max(0, Math.round(100 * (seasonsBetween(ctx.seasons, since, spring) - EARLY)) / 100);
  };
  const inGround = plantOn(facts, book, today).wall === 'ground';
  const dated = [
    ...moves(w, inGround),
    ...sacrifice(w),
    ...winters(w, first, seasons),
    ...others(w, first),
  ].sort((a, b) => a.year - b.year || a.turn - b.turn);
  const kept = keptSteps(behind.length > 0 ? behind : [anchor]);
  const own = nameIn(kept);
  const steps: ProgrammeStep[] = dated.map(({ year, turn, step, since: other }) => {
    const before = dated.findLast((d) => d.year === year && d.turn < turn);
    const after: After[] = [{ step: anchor.key, seasons: passed(year) }];
    if (other) after.push({ ...other, step: own(other.step) });
    if (before) after.push({ step: own(before.step.key), optional: true });
    return { ...step, key: own(step.key), after };
  });
  const last = steps.at(-1)?.key ?? anchor.key;
  return {
    programme: {
      name: `${w.name}: ${facts.programme.name}`.slice(0, 100),
      method: facts.programme.method,
      summary: 'Taken over from the trunk lab',
      vigour: facts.programme.vigour,
      ...(facts.programme.caliper === undefined ? {} : { caliper: facts.programme.caliper }),
      schools: facts.programme.schools,
      steps: [
        ...kept,
        ...steps,
        { key: own('measure'), operation: 'measure', after: [{ step: last, seasons: 0.8 }] },
      ],
    },
    byHand: byHandOf(w),
  };
}
