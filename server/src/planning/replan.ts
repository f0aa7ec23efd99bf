import { compileCourse, type Course, type Moved } from '@gonimos/core/course';
import type { House } from '../write/types.ts';
import { lockFree } from '../write/lock.ts';
import { codeOf, isAway, type Sql, type Trx } from '../db/index.ts';
import { noteDue } from './due-store.ts';
import { readFacts, type CohortFacts } from '../facts/facts.ts';
import type { Planning } from '../facts/source.ts';
import { completeFacts } from './planning.ts';
import { wantersOf } from '../stock/store.ts';
import { readKept } from '../course/kept.ts';
import { layOut, type Laid } from '../course/lay.ts';
import { writeChanges, writePlans } from '../course/store.ts';

/** Everything known of these cohorts, ready to be compiled. */
export async function readyFacts(sql: Sql, ids: string[], planning: Planning): Promise<CohortFacts[]> {
  return completeFacts(sql, await readFacts(sql, ids), planning);
}

export const compileFor = (f: CohortFacts, p: Planning): Course =>
  compileCourse(f, p.books.get(f.placeId)!, p.today);

/** Compiles one course; what keeps it from being planned is its own fault, and nobody else's. */
function compiled(f: CohortFacts, planning: Planning): { course: Course } | { fault: string } {
  try {
    return { course: compileFor(f, planning) };
  } catch (error) {
    return { fault: error instanceof Error ? error.message : String(error) };
  }
}

/** The facts of these courses; one whose facts cannot be read is at fault itself, and leaves the others. */
async function soundFacts(
  trx: Trx,
  ids: string[],
  planning: Planning,
  faults: Map<string, string>,
): Promise<CohortFacts[]> {
  try {
    return await readyFacts(trx, ids, planning);
  } catch (error) {
    // what the database refuses ends the transaction, and is nobody's own
    if (codeOf(error) !== null || isAway(error)) throw error;
    if (ids.length === 1) {
      faults.set(ids[0], error instanceof Error ? error.message : String(error));
      return [];
    }
    const each: CohortFacts[] = [];
    for (const id of ids) each.push(...(await soundFacts(trx, [id], planning, faults)));
    return each;
  }
}

/** Keeps or clears why courses cannot be planned; the plan they had before stays. */
async function writeFaults(trx: Trx, ids: string[], faults: Map<string, string>): Promise<void> {
  for (const [id, fault] of faults) await trx('cohort').where({ id }).update({ planFault: fault });
  const sound = ids.filter((id) => !faults.has(id));
  await trx('cohort').whereIn('id', sound).whereNotNull('planFault').update({ planFault: null });
}

/**
 * Compiles the courses of these cohorts again and keeps them; gives what is new of them. The caller has taken the
 * cohorts for its transaction. `drift`: nothing but the day and its weather has changed.
 */
export async function replan(
  trx: Trx,
  ids: string[],
  cause: string,
  planning: Planning,
  drift = false,
): Promise<readonly Laid[]> {
  const { today } = planning;
  const faults = new Map<string, string>();
  const facts = await soundFacts(trx, ids, planning, faults);
  const kept = await readKept(trx, ids);
  const plans = facts.flatMap((f) => {
    const made = compiled(f, planning);
    if ('course' in made) return layOut(f.id, made.course, kept.get(f.id)!, today, drift) ?? [];
    faults.set(f.id, made.fault);
    return [];
  });
  await writePlans(trx, plans);
  await writeFaults(trx, ids, faults);
  await writeChanges(trx, today, cause, movedIn(plans));
  return plans;
}

/** What moved, by cohort. */
export const movedIn = (plans: readonly Laid[]): Map<string, readonly Moved[]> =>
  new Map(plans.map((p) => [p.cohortId, p.moved]));

/** Containers that these plans now want, or no longer want, may fall short for others or be free again. */
export async function replanCrowded(
  trx: Trx,
  plans: readonly Laid[],
  today: string,
  open: House['planning'],
): Promise<void> {
  const kinds = new Set<string>();
  for (const { wants } of plans) {
    const was = new Set(wants.was);
    const now = new Set(wants.now);
    for (const w of [...was, ...now]) if (!was.has(w) || !now.has(w)) kinds.add(w.split(' ')[0]);
  }
  const own = new Set(plans.map((p) => p.cohortId));
  const others = (await wantersOf(trx, [...kinds], today)).filter((id) => !own.has(id));
  if (others.length === 0) return;
  const cause = 'containers are spoken for';
  // those that somebody else is writing to are planned when they are free again
  const free = await lockFree(trx, others);
  if (free.length > 0) await replan(trx, free, cause, await open(trx));
  await noteDue(
    trx,
    others.filter((id) => !free.includes(id)),
    cause,
  );
}
