import { sure } from '../db/sure.ts';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { compileCourse, type PlannedStep } from '@gonimos/core/course';
import { operation, type Asks } from '@gonimos/core/operations';
import { firstStep, programme } from '@gonimos/core/programmes';
import { random, seedFrom, type Random } from '@gonimos/core/random';
import type { SeasonBook } from '@gonimos/core/season';
import { enterCohort } from '../cohorts/service.ts';
import { readFacts } from '../facts/facts.ts';
import { putOff, recordOnly, recordStep } from '../records/service.ts';
import { insertLines } from '../records/store.ts';
import { addSeedFacts } from '../seed/facts.ts';
import type { Writing } from '../write/types.ts';
import { touching } from '../write/write.ts';
import { COHORTS } from './cohorts.ts';
import { cohortId, entered, lotId, named, OPENING_DAY, type Chapter, type DemoRequest } from './hand.ts';
import { emptyTrays, markTrays, traysOf, type Life } from './lived-trays.ts';
import { NURSERY_SCHOOLS, type DemoCohort } from './stage.ts';

const CAUSES: Record<string, [season: string, outdoors: string]> = {
  roots: ['root failure', 'drought'],
  container: ['damping off', 'root failure'],
  top: ['broken', 'broken'],
  care: ['unknown', 'frost'],
};
const LEFT = [
  'thick root on the east side left: take it next time',
  'low buds on the north side, keep them lit',
  'three stems doubled at the base, choose one',
  'dry spot in the middle of the ball, open it up next time',
];

/** Turns a share of plants into a number, with luck. */
function some(rng: Random, n: number, share: number): number {
  let k = 0;
  for (let i = 0; i < n; i++) if (rng.next() < share) k++;
  return k;
}

const around = (rng: Random, value: number, cv: number, n: number): number[] =>
  Array.from({ length: n }, () => Math.max(0.5, Math.round(value * (1 + cv * rng.normal()) * 10) / 10));

const MOST_TURNS = 90;
/** Aftercare that growers write down; the rest is done and forgotten. */
const NOTED = new Set(['survival-look', 'wire-check', 'layer-check', 'root-check', 'shoot-choice']);
const writtenDown = (s: PlannedStep) => s.chain === null || NOTED.has(s.operation);

/** Share of the work whose window is still open on the opening day that has not been done. */
const STILL_TO_DO = 0.75;

interface Counts {
  live: number;
  pending: number;
}

/** Days after which nobody asks any more for aftercare that was not written down. */
const FORGOTTEN = 45;

/** Aftercare of long ago was done and never written down: it is left out of the course, and says so. */
async function forget(h: Life, steps: readonly PlannedStep[]): Promise<void> {
  const on = addDays(OPENING_DAY, -6);
  const old = addDays(OPENING_DAY, -FORGOTTEN);
  const gone = steps.filter((s) => s.status === 'planned' && s.chain && s.closes !== null && s.closes < old);
  await insertLines(
    h.w.trx,
    gone.map((s) => ({
      id: named(`${h.spec.code} ${s.key} forgotten`),
      cohortId: h.id,
      kind: 'let go' as const,
      stepKey: s.key,
      on,
      personId: h.w.personId,
      note: 'Not written down at the time.',
    })),
  );
}

/** Up to a dozen stems looked at some weeks after their cut: nearly all broke, with a few shoots each. */
function sproutsSeen(spec: DemoCohort, key: string, done: number) {
  const rng = random(seedFrom(`${spec.code} ${key} broke`));
  const cut = Math.max(1, Math.min(12, done));
  const broke = some(rng, cut, 0.85);
  return { cut, broke, shoots: broke + some(rng, 4 * broke, 0.5) };
}

/** A dozen looked at: better from one opening to the next. */
function judged(on: string) {
  const good = Math.min(8, Math.max(1, Number(on.slice(0, 4)) - 2030));
  const poor = Math.max(0, Math.round((12 - good) * 0.4));
  return { A: good, B: 12 - good - poor, C: poor };
}

/** What the growers found and wrote down at a step. */
function written(h: Life, s: PlannedStep, on: string, counts: Counts, caliper: number): NewRecord {
  const { rng, spec } = h;
  const op = operation(s.operation);
  const losses: NewRecord['losses'] = [];
  const lose = (kind: NewRecord['losses'][number]['kind'], count: number, cause: string) => {
    if (count > 0) losses.push({ id: named(`${spec.code} ${s.key} ${kind}`), kind, count, cause });
  };
  let emerged: number | null = null;
  if (op.asks.includes('emergence')) {
    const eaten = some(rng, counts.pending, spec.luck.eaten ?? 0);
    lose('lost_before_emergence', eaten, 'eaten');
    emerged = some(rng, counts.pending - eaten, spec.luck.up);
  } else if (op.asks.includes('rooted')) lose('lost', some(rng, counts.live, 1 - spec.luck.up), 'not rooted');
  else if (s.operation === 'survival-look')
    lose('lost', some(rng, counts.live, spec.luck.loss), CAUSES.roots[rng.next() < 0.7 ? 0 : 1]);
  else if (op.asks.includes('culls')) lose('culled', some(rng, counts.live, 0.12), 'no low movement');
  else if (rng.next() < 0.3)
    lose('lost', some(rng, counts.live, spec.luck.loss / 2), CAUSES[s.lane][rng.next() < 0.5 ? 0 : 1]);
  const left =
    counts.live - losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? 0 : l.count), 0);
  const done = emerged ?? left;
  const asks = (what: Asks) => op.asks.includes(what);
  const details: NewRecord['details'] = {
    ...(emerged === null ? {} : { emergence: { emerged } }),
    ...(asks('container') && s.container ? { potting: { container: s.container } } : {}),
    ...(asks('sizes')
      ? { sizes: { calipers: around(rng, caliper, 0.14, Math.min(12, done)), at: 0, heights: [] } }
      : {}),
  };
  if (asks('sprouts')) details.sprouts = sproutsSeen(spec, s.key, done);
  if (spec.careful && op.lane === 'roots' && op.rootLoss.value > 0 && done >= 12)
    details.roots = { drawnId: null, took: null, left: [], classes: judged(on) };
  // growers are a little too sure of hard work
  if (s.odds !== null) {
    const sure = Math.min(1, Math.round((s.odds - 0.12 + 0.15 * rng.next()) * 20) / 20);
    details.survival = { sure, alive: null };
  }
  return workOn({
    id: named(`${spec.code} ${s.key}`),
    cohortId: h.id,
    stepKey: s.key,
    on,
    done,
    losses,
    minutes: Math.round(op.minutes.value * Math.max(done, 1) * (0.8 + 0.5 * rng.next())),
    nextTime: spec.careful && op.lane === 'roots' ? LEFT[Math.floor(rng.next() * LEFT.length)] : '',
    details,
  });
}

/** Records the step as a grower's request would; the plan is made anew at the next turn. */
async function keep(h: Life, s: PlannedStep, on: string, caliper: number): Promise<void> {
  const op = operation(s.operation);
  if (h.spec.trays && op.asks.includes('emergence')) await markTrays(h, on);
  const counts = await sure(h.w.trx('cohort').where({ id: h.id }).first('live', 'pending'));
  const told = written(h, s, on, counts, caliper);
  if (h.spec.trays && op.asks.includes('emergence'))
    // the cells have told it already
    await recordStep(
      h.w,
      { ...told, losses: [], done: counts.live, details: { emergence: { emerged: 0 } } },
      s,
    );
  else await recordStep(h.w, told, s);
  if (h.spec.trays && op.asks.includes('container')) await emptyTrays(h, on);
}

/**
 * Lives through a cohort's years: at each turn the core plans the course, the growers do the next step
 * somewhere in its window, and what they found goes into the ledger; until the demo's first day.
 */
async function liveThrough(w: Writing, spec: DemoCohort, book: SeasonBook): Promise<void> {
  const h: Life = { w, id: cohortId(spec.code), spec, rng: random(seedFrom(spec.code)) };
  let now = (await sure(w.trx('cohort').where({ id: h.id }).first('startedFrom'))).startedFrom;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const [facts] = await addSeedFacts(w.trx, await readFacts(w.trx, [h.id]));
    facts.schools.nursery = NURSERY_SCHOOLS;
    // what was seen later is not known yet
    const known = { ...facts, vigour: facts.vigour.filter((v) => v.on <= now) };
    const course = compileCourse(known, book, now);
    const next = course.steps
      .filter((s) => s.status === 'planned' && s.ready && s.opens && writtenDown(s))
      .sort((a, b) => (a.closes! < b.closes! ? -1 : 1))[0];
    // on the opening day there is work to be seen
    const left = next && next.closes! >= OPENING_DAY && !spec.on?.[next.key] && h.rng.next() < STILL_TO_DO;
    const width = next ? daysBetween(next.opens!, next.closes!) : 0;
    const chance = next ? addDays(next.opens!, Math.floor(h.rng.next() * 0.8 * width)) : OPENING_DAY;
    const on = [now, spec.on?.[next?.key] ?? chance].sort()[1];
    if (!next || left || on >= OPENING_DAY || next.key === spec.missed?.key)
      return forget(h, compileCourse(facts, book, OPENING_DAY).steps);
    const season = book.seasonOf(Date.parse(on) / 86_400_000);
    const ring = course.rings.filter((r) => r.season <= season).at(-1) ?? course.rings[0];
    await keep(h, next, on, ring?.caliper ?? 4);
    now = on;
  }
}

/** A look at how they grow, and a step put off, as far as the growers told of any. */
function toldOf(spec: DemoCohort): DemoRequest[] {
  const { vigour, missed, code } = spec;
  const id = cohortId(code);
  const told: DemoRequest[] = [];
  if (vigour) {
    const look = workOn({
      id: named(`look at ${code}`),
      cohortId: id,
      stepKey: null,
      on: vigour.on,
      note: 'Short growth, pale, little of it hardened.',
      details: { looks: { vigour: vigour.value, lowGrowth: null, buds: null } },
    });
    told.push({ on: vigour.on, by: 'Bruno Tessary', act: (w) => recordOnly(w, look) });
  }
  if (missed) {
    const off = {
      id: named(`${code} put off`),
      cohortId: id,
      stepKey: missed.key,
      until: missed.until,
      reason: missed.reason,
    };
    told.push({ on: addDays(OPENING_DAY, -5), by: 'Bruno Tessary', act: (w) => putOff(w, off) });
  }
  return told;
}

/** The cohorts, entered when they began; their years are told on an evening before the demo opens. */
export const lives: Chapter = (h) =>
  COHORTS.flatMap((spec): DemoRequest[] => {
    const cohort = entered(spec.place, {
      code: spec.code,
      taxonId: spec.taxonId,
      programmeId: spec.programmeId,
      container: firstStep(programme(spec.programmeId)).container ?? 'seed-flat',
      started: spec.started,
      count: spec.count,
      goalCaliper: spec.goalCaliper,
      note: spec.note,
      parentId: spec.parent ? cohortId(spec.parent) : null,
      lotId: spec.lot ? lotId(spec.lot) : null,
      origin: spec.origin ?? null,
    });
    const on = readUncertainDate(spec.started, 'north')!.from;
    return [
      { on, by: 'Ines Tessary', act: (w) => enterCohort(w, cohort) },
      ...traysOf(spec, on),
      ...toldOf(spec),
      {
        on: addDays(OPENING_DAY, -6),
        by: 'Bruno Tessary',
        act: async (w) => {
          await liveThrough(w, spec, h.bookOf(spec.place));
          return touching([cohort.id], 'its years were told', null);
        },
      },
    ];
  });
