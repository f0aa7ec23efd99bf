/** Courses of thousands planned again through the database, against compiling them alone in memory. */
import { setTimeout as wait } from 'node:timers/promises';
import type { Db } from '../src/db/index.ts';
import { openCrew, type Crew } from '../src/planning/crew.ts';
import { planningState } from '../src/planning/due-store.ts';
import { compileFor, readyFacts } from '../src/planning/replan.ts';
import { houseOf } from '../src/house.ts';
import { must, type Visitor } from '../test/harness.ts';
import { COHORTS, row } from './many.ts';

/** Days that are measured. */
const DAYS = 7;

const seconds = (ms: number) => `${(ms / 1000).toFixed(2)} s`;
const since = (from: number) => performance.now() - from;

/**
 * Compiles every course of a day once, alone on one core and out of memory; gives how long that takes, ms. The season
 * of the day is worked out with it, as it is for a new day: facts and weather are read before the clock runs.
 */
async function compilesAll(db: Db): Promise<() => Promise<number>> {
  const open = houseOf(db).planning;
  const living = await db('cohort').where('growing', true).pluck('id');
  const facts = await readyFacts(db, living, await open(db));
  return async () => {
    const planning = await open(db);
    const from = performance.now();
    for (const f of facts) compileFor(f, planning);
    return since(from);
  };
}

const nextDay = (visitor: Visitor) =>
  must(visitor.post('/demo/calendar', { id: crypto.randomUUID(), days: 1 }));

/** A day later: everything is planned again by the crew while somebody asks for a cohort, over and over. */
async function aDayLater(visitor: Visitor, crew: Crew, cohortId: string) {
  await nextDay(visitor);
  const from = performance.now();
  let going = true;
  const work = crew.workOff(() => false).finally(() => (going = false));
  const waits: number[] = [];
  while (going) {
    const asked = performance.now();
    await visitor.get(`/cohorts/${cohortId}/course`);
    waits.push(since(asked));
    await wait(250);
  }
  await work;
  waits.sort((a, b) => a - b);
  return { took: since(from), median: waits[Math.floor(waits.length / 2)] ?? 0, asked: waits.length };
}

/** Stopped by a grower in the middle: how long until nothing more is planned, ms. */
async function stopped(db: Db, visitor: Visitor, crew: Crew): Promise<number> {
  await nextDay(visitor);
  const work = crew.workOff(() => false);
  // once some are planned, and most are not
  while ((await planningState(db)).left > COHORTS - 200) await wait(20);
  await must(visitor.put('/planning', { paused: true }));
  const from = performance.now();
  await work;
  const took = since(from);
  const { left } = await planningState(db);
  if (left === 0) throw new Error('it was not stopped in the middle');
  await must(visitor.put('/planning', { paused: false }));
  await crew.workOff(() => false);
  return took;
}

export async function benchPlans(made: { db: Db; url: string }, visitor: Visitor): Promise<void> {
  const { db, url } = made;
  const crew = openCrew(url);
  let from = performance.now();
  await db.transaction((trx) => houseOf(db).plan(trx, 'all', 'the bench'));
  await crew.workOff(() => false);
  const first = since(from);
  // as the database does by itself after so many changes
  await db.raw('ANALYZE');
  row(`${COHORTS} courses planned for the first time, every step written`, seconds(first), '', true);
  const bare = await compilesAll(db);
  await bare();
  const [{ id }] = await db('cohort').where({ code: 'FM-30' }).select('id');
  // the first day settles who gets which of the containers that fall short: nobody had wanted any before
  await aDayLater(visitor, crew, id);
  const days = [];
  for (let i = 0; i < DAYS; i++) {
    // the machine's own speed wanders: each day is held against what memory alone takes right before and after it
    const before = await bare();
    const day = await aDayLater(visitor, crew, id);
    const alone = (before + (await bare())) / 2;
    days.push({ ...day, alone, ratio: day.took / alone });
  }
  const middle = days.toSorted((a, b) => a.ratio - b.ratio)[Math.floor(DAYS / 2)];
  const all = days.map((d) => d.ratio.toFixed(2)).join(', ');
  const what = `a day later, ${COHORTS} courses through the database (of ${all})`;
  const figure = `${middle.ratio.toFixed(2)} (${seconds(middle.took)}/${seconds(middle.alone)})`;
  row(what, figure, '≤ 1.5', middle.ratio <= 1.5);
  const reads = `  asked for a course meanwhile, ${middle.asked} times, median`;
  row(reads, `${middle.median.toFixed(0)} ms`, '< 100 ms', middle.median < 100);
  const end = await stopped(db, visitor, crew);
  row('  stopped in the middle, after', seconds(end), '≤ 1 s', end <= 1000);
  const rounds: number[] = [];
  for (let i = 0; i < 5; i++) {
    from = performance.now();
    await visitor.get('/round');
    rounds.push(since(from));
  }
  const round = rounds.toSorted((a, b) => a - b)[2];
  row('  the round afterwards, median of five', seconds(round), '≤ 0.5 s', round <= 500);
  await crew.close();
}
