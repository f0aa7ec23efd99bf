import { toDay, type Day, type IsoDate } from '../calendar/index.ts';
import { workOf, type Operation } from '../operations/index.ts';
import { Plant, type Seasons } from '../plant/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { taxon, toleranceOf } from '../taxa/index.ts';
import { wayOf } from './layer-way.ts';
import type { Context, CourseFacts } from './types.ts';

/** First caliper of a seedling or cutting, mm. */
const FIRST_CALIPER = { seed: 1, cutting: 3, layer: 18, bought: 6, lifted: 40 } as const;
/** Plants that shared the first tray at least, mm of room being what is asked. */
const LEAST_SOWN = 40;

/** The grower's learned experience shifts how much the group is taken to bear. */
function toleranceFor(facts: CourseFacts): Context['tolerance'] {
  const t = toleranceOf(taxon(facts.taxonId));
  const by = facts.learned;
  if (!by || by.factor === 1) return t;
  const scaled = (p: typeof t.rootTolerance) => ({
    ...p,
    value: Math.round(p.value * by.factor * 100) / 100,
    basis: 'your data' as const,
    source: `library value moved by ${by.plants} plants of yours`,
  });
  return { ...t, rootTolerance: scaled(t.rootTolerance), topTolerance: scaled(t.topTolerance) };
}

/** Growing seasons of a kind at a place, each worked out once. */
function seasonsOf(book: SeasonBook, kind: Context['taxon']): Seasons {
  const known = new Map<number, { from: Day; to: Day }>();
  return {
    seasonOf: (day) => book.seasonOf(day),
    span: (season) => book.span(season),
    growing(season) {
      let g = known.get(season);
      if (!g) known.set(season, (g = book.growing(season, kind)));
      return g;
    },
  };
}

/** When half were up: by the counts so far, or as told by the count of emergence. */
function emergedOn({ programme, steps, halfUp }: CourseFacts): Day | null {
  if (halfUp) return toDay(halfUp);
  const count = programme.steps.find((s) => workOf(s.operation) === 'emergence-count');
  const fact = count && steps[count.key];
  return fact?.status === 'done' ? toDay(fact.doneOn!) : null;
}

/** The kind the plan is for; while it may be another, it bears and sprouts no more than any of them. */
function kindOf({ taxonId, maybe = [] }: CourseFacts): Context['taxon'] {
  const named = taxon(taxonId);
  const all = [named, ...maybe.map(taxon)];
  const tenderest = all.reduce((a, b) => (b.hardyTo.value > a.hardyTo.value ? b : a));
  return maybe.length === 0
    ? named
    : { ...named, hardyTo: tenderest.hardyTo, sproutsOld: all.every((t) => t.sproutsOld) };
}

/** Person-minutes for so many plants: as the clock has taught, or as in the library. */
export const minutesFor = ({ facts }: Context, op: Operation, plants: number): number =>
  Math.ceil((facts.pace?.[op.id] ?? op.minutes.value) * plants);

export function contextOf(facts: CourseFacts, book: SeasonBook, today: IsoDate): Context {
  const t = kindOf(facts);
  return {
    facts,
    taxon: t,
    book,
    today: toDay(today),
    dates: new Map(),
    ...wayOf(facts),
    tolerance: toleranceFor(facts),
    seasons: seasonsOf(book, t),
    practice: facts.own ? 'your data' : 'common practice',
    emergedOn: emergedOn(facts),
  };
}

/** The cohort's typical plant on the day it was started, with everything that was measured since. */
export function plantOf(ctx: Context): Plant {
  const { facts } = ctx;
  const p = facts.programme;
  return new Plant({
    taxon: ctx.taxon,
    tolerance: ctx.tolerance,
    seasons: ctx.seasons,
    day: toDay(facts.startedOn),
    caliper: p.caliper ?? FIRST_CALIPER[p.method],
    vigour: p.vigour,
    plants: facts.live,
    rooted: p.method !== 'cutting' && p.method !== 'layer',
    container: facts.firstContainer ?? p.steps[0].container ?? 'pot-9',
    sown: Math.max(facts.live, LEAST_SOWN),
    seen: [
      ...facts.sizes.map((size) => ({ day: toDay(size.on), size })),
      ...facts.vigour.map((v) => ({ day: toDay(v.on), vigour: v.value })),
      ...(facts.moves ?? []).map((m) => ({ day: toDay(m.on), container: m.container })),
    ],
  });
}
