import { compileCourse, diffCourse, type Course, type Moved, type PlannedStep } from '@gonimos/core/course';
import { lockCohorts } from '../cohorts/lock.ts';
import type { Db, Sql, Trx } from '../db/index.ts';
import { readNursery, setPlannedOn, todayAt } from '../nursery/store.ts';
import { readFacts, type CohortFacts } from './facts.ts';
import { completeFacts, readPlanning, type Planning } from './planning.ts';
import { wantersOf } from '../stock/store.ts';
import { readPlans, writeChanges, writePlans, type Plan } from './store.ts';

/** Everything known of these cohorts, ready to be compiled. */
export async function readyFacts(sql: Sql, ids: string[], planning: Planning): Promise<CohortFacts[]> {
  return completeFacts(sql, await readFacts(sql, ids), planning);
}

export const compileFor = (f: CohortFacts, p: Planning): Course =>
  compileCourse(f, p.books.get(f.placeId)!, p.today);

/** Compiles the courses of these cohorts again and keeps them; gives what moved, by cohort. */
export async function replan(
  trx: Trx,
  ids: string[],
  cause: string,
  shared?: Planning,
): Promise<Map<string, Moved[]>> {
  const planning = shared ?? (await readPlanning(trx));
  const before = await readPlans(trx, ids);
  const plans = (await readyFacts(trx, ids, planning)).map((f) => ({
    cohortId: f.id,
    kept: before.get(f.id) ?? [],
    course: compileFor(f, planning),
  }));
  const moved = new Map(
    plans.map((p) => [p.cohortId, p.kept.length > 0 ? diffCourse(p.kept, p.course) : []]),
  );
  await writePlans(trx, plans, planning.today);
  await writeChanges(trx, planning.today, cause, moved);
  if (shared === undefined) await replanCrowded(trx, plans, planning);
  return moved;
}

/** Containers that these plans now want, or no longer want, may fall short for others or be free again. */
async function replanCrowded(trx: Trx, plans: Plan[], planning: Planning): Promise<void> {
  const wants = (steps: readonly Pick<PlannedStep, 'status' | 'container' | 'target'>[]) =>
    steps.filter((s) => s.status === 'planned' && s.container).map((s) => `${s.container} ${s.target}`);
  const kinds = new Set<string>();
  for (const { kept, course } of plans) {
    const [was, now] = [new Set(wants(kept)), new Set(wants(course.steps))];
    for (const w of [...was, ...now]) if (!was.has(w) || !now.has(w)) kinds.add(w.split(' ')[0]);
  }
  const own = new Set(plans.map((p) => p.cohortId));
  const others = (await wantersOf(trx, [...kinds], planning.today)).filter((id) => !own.has(id));
  if (others.length > 0) await replan(trx, others, 'containers are spoken for', await readPlanning(trx));
}

const CHUNK = 100;

/** Plans these cohorts again, a few at a time, each few in a transaction of their own. */
export async function replanSome(db: Db, ids: string[], cause: string): Promise<Map<string, Moved[]>> {
  const moved = new Map<string, Moved[]>();
  if (ids.length === 0) return moved;
  const planning = await readPlanning(db);
  for (let i = 0; i < ids.length; i += CHUNK) {
    const some = ids.slice(i, i + CHUNK);
    const part = await db.transaction(async (trx) => {
      await lockCohorts(trx, some);
      return replan(trx, some, cause, planning);
    });
    for (const [id, m] of part) moved.set(id, m);
  }
  return moved;
}

const living = (sql: Sql) => sql('cohort').where('growing', true).orderBy('id');

/** After a place was changed, or something was seen there: only what stands there. */
export const replanPlace = async (db: Db, placeId: string, cause: string) =>
  replanSome(db, await living(db).where('place_id', placeId).pluck('id'), cause);

/** After a new day, new weather or a changed site: everything. */
export async function replanAll(db: Db, cause: string): Promise<void> {
  const today = todayAt(await readNursery(db));
  await replanSome(db, await living(db).pluck('id'), cause);
  await setPlannedOn(db, today);
}

/** Re-plans when the day has changed since the last time. */
export async function replanOnNewDay(db: Db): Promise<void> {
  const nursery = await readNursery(db);
  if (nursery.plannedOn !== todayAt(nursery)) await replanAll(db, 'a new day');
}
