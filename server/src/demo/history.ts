import { randomUUID } from 'node:crypto';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { compileCourse, type PlannedStep } from '@gonimos/core/course';
import { operation } from '@gonimos/core/operations';
import { random, seedFrom, type Random } from '@gonimos/core/random';
import type { SeasonBook } from '@gonimos/core/season';
import { readFacts } from '../course/facts.ts';
import { writePlans } from '../course/store.ts';
import type { Trx } from '../db/index.ts';
import { insertEntries } from '../ledger/store.ts';
import { insertWork, NOTHING_BEFORE } from '../records/store.ts';
import { NURSERY_SCHOOLS, type DemoCohort } from './cohorts.ts';

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

interface Hand {
  trx: Trx;
  id: string;
  spec: DemoCohort;
  rng: Random;
  person: string;
}

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

/** What the growers found and wrote down at a step. */
function written(h: Hand, s: PlannedStep, on: string, counts: Counts, caliper: number): NewRecord {
  const { rng, spec } = h;
  const op = operation(s.operation);
  const losses: NewRecord['losses'] = [];
  const lose = (kind: NewRecord['losses'][number]['kind'], count: number, cause: string) => {
    if (count > 0) losses.push({ id: randomUUID(), kind, count, cause });
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
  return workOn({
    ...{ id: randomUUID(), cohortId: h.id, stepKey: s.key, on, done, emerged, losses },
    container: op.asks.includes('container') ? s.container : null,
    calipers: op.asks.includes('sizes') ? around(rng, caliper, 0.14, Math.min(12, done)) : [],
    rooted: op.asks.includes('rooted') ? left : null,
    // growers are a little too sure of hard work
    sure: s.odds === null ? null : Math.min(1, Math.round((s.odds - 0.12 + 0.15 * rng.next()) * 20) / 20),
    minutes: Math.round(op.minutes.value * Math.max(done, 1) * (0.8 + 0.5 * rng.next())),
    nextTime: spec.careful && op.lane === 'roots' ? LEFT[Math.floor(rng.next() * LEFT.length)] : '',
  });
}

/** Entries a record stands for, in bulk and without a plan after each. */
async function keep(h: Hand, s: PlannedStep, r: NewRecord, c: Counts & { container: string }): Promise<void> {
  const dead = r.losses.reduce((n, l) => n + (l.kind === 'lost' ? l.count : 0), 0);
  const looked = operation(s.operation).asks.includes('alive');
  const before = {
    ...NOTHING_BEFORE,
    ...{ container: r.container ? c.container : null, odds: s.odds },
    alive: looked ? { alive: c.live - dead, of: c.live } : null,
  };
  await insertWork(h.trx, r, before, h.person);
  const base = { cohortId: h.id, on: r.on, recordId: r.id, personId: h.person };
  await insertEntries(h.trx, [
    ...r.losses
      .filter((l) => l.kind === 'lost_before_emergence')
      .map((l) => ({ ...base, id: l.id, type: l.kind, count: l.count, cause: l.cause })),
    ...(r.emerged ? [{ ...base, id: randomUUID(), type: 'emerged' as const, count: r.emerged }] : []),
    ...r.losses
      .filter((l) => l.kind !== 'lost_before_emergence')
      .map((l) => ({ ...base, id: l.id, type: l.kind, count: l.count, cause: l.cause })),
    ...(r.container && r.done ? [{ ...base, id: randomUUID(), type: 'potted' as const, count: r.done }] : []),
  ]);
  if (r.container) await h.trx('cohort').where({ id: h.id }).update({ container: r.container });
}

/**
 * Lives through a cohort's years: at each turn the core plans the course, the growers do the next step
 * somewhere in its window, and what they found goes into the ledger; until the demo's first day.
 */
export async function liveThrough(
  trx: Trx,
  id: string,
  spec: DemoCohort,
  book: SeasonBook,
  opening: string,
  person: string,
): Promise<void> {
  const h: Hand = { trx, id, spec, rng: random(seedFrom(spec.code)), person };
  let now = (await trx('cohort').where({ id }).first('started_from')).started_from as string;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const [facts] = await readFacts(trx, [id]);
    facts.schools.nursery = NURSERY_SCHOOLS;
    if (spec.vigour && spec.vigour.on <= now) facts.vigour.push(spec.vigour);
    const course = compileCourse(facts, book, now);
    const next = course.steps
      .filter((s) => s.status === 'planned' && s.ready && s.opens && writtenDown(s))
      .sort((a, b) => (a.closes! < b.closes! ? -1 : 1))[0];
    // on the opening day there is work to be seen
    const left = next && next.closes! >= opening && !spec.on?.[next.key] && h.rng.next() < STILL_TO_DO;
    const width = next ? daysBetween(next.opens!, next.closes!) : 0;
    const chance = next ? addDays(next.opens!, Math.floor(h.rng.next() * 0.8 * width)) : opening;
    const on = [now, spec.on?.[next?.key] ?? chance].sort()[1];
    if (!next || left || on >= opening || next.key === spec.missed?.key) {
      await writePlans(trx, [{ cohortId: id, kept: [], course }], now);
      return;
    }
    const cohort = await trx('cohort').where({ id }).first('live', 'pending', 'container');
    const season = book.seasonOf(Date.parse(on) / 86_400_000);
    const ring = course.rings.filter((r) => r.season <= season).at(-1) ?? course.rings[0];
    await keep(h, next, written(h, next, on, cohort, ring?.caliper ?? 4), cohort);
    now = on;
  }
}
