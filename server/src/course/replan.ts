import { compileCourse, diffCourse, type Moved } from '@gonimos/core/course';
import type { Db, Trx } from '../db/index.ts';
import { readNursery, setPlannedOn, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { readFacts } from './facts.ts';
import { readPlans, writeChanges, writePlans } from './store.ts';

/** Compiles the courses of these cohorts again and keeps them; gives what moved, by cohort. */
export async function replan(trx: Trx, ids: string[], cause: string): Promise<Map<string, Moved[]>> {
  const today = todayAt(await readNursery(trx));
  const books = await seasonBooks(trx);
  const before = await readPlans(trx, ids);
  const plans = (await readFacts(trx, ids)).map((f) => ({
    cohortId: f.id,
    kept: before.get(f.id) ?? [],
    course: compileCourse(f, books.get(f.placeId)!, today),
  }));
  const moved = new Map(
    plans.map((p) => [p.cohortId, p.kept.length > 0 ? diffCourse(p.kept, p.course) : []]),
  );
  await writePlans(trx, plans, today);
  await writeChanges(trx, today, cause, moved);
  return moved;
}

const CHUNK = 50;

/** Plans every living cohort again, or those of one place, a few at a time. */
async function replanMany(db: Db, cause: string, placeId?: string): Promise<void> {
  const living = db('cohort').where('growing', true).orderBy('id');
  if (placeId) living.where('place_id', placeId);
  const ids: string[] = await living.pluck('id');
  for (let i = 0; i < ids.length; i += CHUNK) {
    const some = ids.slice(i, i + CHUNK);
    await db.transaction(async (trx) => {
      await trx('cohort').whereIn('id', some).orderBy('id').forUpdate().select('id');
      await replan(trx, some, cause);
    });
  }
}

/** After a place was changed: only what stands there. */
export const replanPlace = (db: Db, placeId: string, cause: string): Promise<void> =>
  replanMany(db, cause, placeId);

/** After a new day, new weather or a changed site: everything. */
export async function replanAll(db: Db, cause: string): Promise<void> {
  const today = todayAt(await readNursery(db));
  await replanMany(db, cause);
  await setPlannedOn(db, today);
}

/** Re-plans when the day has changed since the last time. */
export async function replanOnNewDay(db: Db): Promise<void> {
  const nursery = await readNursery(db);
  if (nursery.plannedOn !== todayAt(nursery)) await replanAll(db, 'a new day');
}
