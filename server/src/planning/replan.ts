import { compileCourse, diffCourse, type Course, type Moved, type PlannedStep } from '@gonimos/core/course';
import type { House } from '../write/types.ts';
import { lockFree } from '../write/lock.ts';
import { codeOf, isAway, type Sql, type Trx } from '../db/index.ts';
import { noteDue } from './due-store.ts';
import { readFacts, type CohortFacts } from '../facts/facts.ts';
import type { Planning } from '../facts/source.ts';
import { completeFacts } from './planning.ts';
import { wantersOf } from '../stock/store.ts';
import { readDigests, readPlans, writeChanges, writePlans, written, type Plan } from '../course/store.ts';

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
  for (const [id, fault] of faults) await trx('cohort').where({ id }).update({ plan_fault: fault });
  const sound = ids.filter((id) => !faults.has(id));
  await trx('cohort').whereIn('id', sound).whereNotNull('plan_fault').update({ plan_fault: null });
}

/** Courses that say something else than the plan that is kept, beside what that said. */
async function newPlans(
  trx: Trx,
  ids: string[],
  planning: Planning,
  faults: Map<string, string>,
): Promise<Plan[]> {
  const digests = await readDigests(trx, ids);
  const plans: Omit<Plan, 'kept'>[] = [];
  for (const f of await soundFacts(trx, ids, planning, faults)) {
    const made = compiled(f, planning);
    if ('fault' in made) {
      faults.set(f.id, made.fault);
      continue;
    }
    const told = written(made.course, planning.today);
    if (told.digest !== digests.get(f.id)) plans.push({ cohortId: f.id, ...told });
  }
  const before = await readPlans(
    trx,
    plans.map((p) => p.cohortId),
  );
  return plans.map((p) => ({ ...p, kept: before.get(p.cohortId) ?? [] }));
}

/**
 * Compiles the courses of these cohorts again and keeps them; gives what moved, by cohort. The caller has taken
 * the cohorts for its transaction.
 */
export async function replan(
  trx: Trx,
  ids: string[],
  cause: string,
  planning: Planning,
): Promise<{ moved: Map<string, Moved[]>; plans: Plan[] }> {
  const faults = new Map<string, string>();
  const plans = await newPlans(trx, ids, planning, faults);
  const moved = new Map(
    plans.map((p) => [p.cohortId, p.kept.length > 0 ? diffCourse(p.kept, p.course) : []]),
  );
  await writePlans(trx, plans, planning.today);
  await writeFaults(trx, ids, faults);
  await writeChanges(trx, planning.today, cause, moved);
  return { moved, plans };
}

/** Containers that these plans now want, or no longer want, may fall short for others or be free again. */
export async function replanCrowded(
  trx: Trx,
  plans: readonly Plan[],
  today: string,
  open: House['planning'],
): Promise<void> {
  const wants = (steps: readonly Pick<PlannedStep, 'status' | 'container' | 'target'>[]) =>
    steps.filter((s) => s.status === 'planned' && s.container).map((s) => `${s.container} ${s.target}`);
  const kinds = new Set<string>();
  for (const { kept, course } of plans) {
    const was = new Set(wants(kept));
    const now = new Set(wants(course.steps));
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
