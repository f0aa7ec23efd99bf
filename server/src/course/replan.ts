import { compileCourse, diffCourse, type Moved } from '@gonimos/core/course';
import type { Db, Trx } from '../db/index.ts';
import { readNursery, setPlannedOn, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { readFacts, type CohortFacts } from './facts.ts';
import { readPlans, writeChanges, writePlan } from './store.ts';

/** Compiles the courses of these cohorts again and keeps them; gives what moved, by cohort. */
export async function replan(
  trx: Trx,
  ids: string[],
  cause: string,
  facts?: CohortFacts[],
): Promise<Map<string, Moved[]>> {
  const today = todayAt(await readNursery(trx));
  const books = await seasonBooks(trx);
  const before = await readPlans(trx, ids);
  const moved = new Map<string, Moved[]>();
  for (const f of facts ?? (await readFacts(trx, ids))) {
    const course = compileCourse(f, books.get(f.placeId)!, today);
    const was = before.get(f.id) ?? [];
    const changes = diffCourse(was, course);
    await writePlan(trx, f.id, course);
    if (was.length > 0) await writeChanges(trx, f.id, today, cause, changes);
    moved.set(f.id, changes);
  }
  return moved;
}

const CHUNK = 50;

/** After a new day, new weather or a changed site: every living cohort, a few at a time. */
export async function replanAll(db: Db, cause: string): Promise<void> {
  const today = todayAt(await readNursery(db));
  const ids: string[] = await db('cohort').where('growing', true).orderBy('id').pluck('id');
  for (let i = 0; i < ids.length; i += CHUNK) {
    const some = ids.slice(i, i + CHUNK);
    await db.transaction(async (trx) => {
      await trx('cohort').whereIn('id', some).orderBy('id').forUpdate().select('id');
      await replan(trx, some, cause);
    });
  }
  await setPlannedOn(db, today);
}

/** Re-plans when the day has changed since the last time. */
export async function replanOnNewDay(db: Db): Promise<void> {
  const nursery = await readNursery(db);
  if (nursery.plannedOn !== todayAt(nursery)) await replanAll(db, 'a new day');
}
