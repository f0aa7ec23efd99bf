import { randomUUID } from 'node:crypto';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { compileCourse, type PlannedStep } from '@gonimos/core/course';
import { operation, type Asks } from '@gonimos/core/operations';
import { random, seedFrom, type Random } from '@gonimos/core/random';
import type { SeasonBook } from '@gonimos/core/season';
import { readFacts } from '../facts/facts.ts';
import { writePlans, written as inWords } from '../course/store.ts';
import type { Trx } from '../db/index.ts';
import { addSeedFacts } from '../seed/facts.ts';
import { recordStep } from '../records/service.ts';
import type { House } from '../write/types.ts';
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

interface Hand {
  house: House;
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
  const asks = (what: Asks) => op.asks.includes(what);
  const details: NewRecord['details'] = {
    ...(emerged === null ? {} : { emergence: { emerged } }),
    ...(asks('container') && s.container ? { potting: { container: s.container } } : {}),
    ...(asks('sizes')
      ? { sizes: { calipers: around(rng, caliper, 0.14, Math.min(12, done)), heights: [] } }
      : {}),
  };
  // growers are a little too sure of hard work
  if (s.odds !== null) {
    const sure = Math.min(1, Math.round((s.odds - 0.12 + 0.15 * rng.next()) * 20) / 20);
    details.survival = { sure, alive: null };
  }
  return workOn({
    id: randomUUID(),
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
async function keep(h: Hand, s: PlannedStep, r: NewRecord): Promise<void> {
  const { followers, plan } = h.house;
  const planning = () => h.house.planning(h.trx);
  await recordStep({ trx: h.trx, person: null, personId: h.person, followers, planning, plan }, r, s);
}

/**
 * Lives through a cohort's years: at each turn the core plans the course, the growers do the next step
 * somewhere in its window, and what they found goes into the ledger; until the demo's first day.
 */
export async function liveThrough(
  house: House,
  trx: Trx,
  id: string,
  spec: DemoCohort,
  book: SeasonBook,
  opening: string,
  person: string,
): Promise<void> {
  const h: Hand = { house, trx, id, spec, rng: random(seedFrom(spec.code)), person };
  let now = (await trx('cohort').where({ id }).first('started_from')).started_from as string;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const [facts] = await addSeedFacts(trx, await readFacts(trx, [id]));
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
      await writePlans(trx, [{ cohortId: id, kept: [], ...inWords(course, now) }], now);
      return;
    }
    const cohort = await trx('cohort').where({ id }).first('live', 'pending');
    const season = book.seasonOf(Date.parse(on) / 86_400_000);
    const ring = course.rings.filter((r) => r.season <= season).at(-1) ?? course.rings[0];
    await keep(h, next, written(h, next, on, cohort, ring?.caliper ?? 4));
    now = on;
  }
}
