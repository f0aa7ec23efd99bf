import { compileCourse, diffCourse, type Course, type Moved, type PlannedStep } from '@gonimos/core/course';
import type { House } from '../write/types.ts';
import { lockFree } from '../write/lock.ts';
import { codeOf, isAway, type Sql, type Trx } from '../db/index.ts';
import { noteDue } from './due-store.ts';
import { readFacts, type CohortFacts } from '../facts/facts.ts';
import type { Planning } from '../facts/source.ts';
import { completeFacts } from './planning.ts';
import { wantersOf } from '../stock/store.ts';
import { inWords, newsBesidesDrift, newsIn, readDigests, readPlans, type Plan } from '../course/kept.ts';
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

/** The course of a cohort as far as it says something else than the plan that is kept; null where it does not. */
type Compare = (cohortId: string, course: Course) => Omit<Plan, 'cohortId' | 'kept' | 'course'> | null;

/** Compiles courses one after another, and keeps in hand only those that say something new. */
function compiledNews(
  facts: readonly CohortFacts[],
  planning: Planning,
  faults: Map<string, string>,
  compare: Compare,
): Omit<Plan, 'kept'>[] {
  return facts.flatMap((f) => {
    const made = compiled(f, planning);
    if ('fault' in made) {
      faults.set(f.id, made.fault);
      return [];
    }
    const told = compare(f.id, made.course);
    return told ? [{ cohortId: f.id, course: made.course, ...told }] : [];
  });
}

/** Courses that say anything else than what is kept of them. */
async function newPlans(
  trx: Trx,
  facts: readonly CohortFacts[],
  planning: Planning,
  faults: Map<string, string>,
): Promise<Plan[]> {
  const digests = await readDigests(
    trx,
    facts.map((f) => f.id),
  );
  const texts = new Map<string, readonly string[]>();
  const plans = compiledNews(facts, planning, faults, (id, course) => {
    const words = inWords(course, planning.today);
    if (words.digest === digests.get(id)) return null;
    texts.set(id, words.texts);
    return { news: [], digest: words.digest };
  });
  const before = await readPlans(
    trx,
    plans.map((p) => p.cohortId),
  );
  return plans.map((p) => {
    const kept = before.get(p.cohortId) ?? [];
    return { ...p, kept, news: newsIn(p.course, texts.get(p.cohortId)!, kept) };
  });
}

/** Courses in which more has changed than a day's drift of what lies far ahead. */
async function driftedPlans(
  trx: Trx,
  facts: readonly CohortFacts[],
  planning: Planning,
  faults: Map<string, string>,
): Promise<Plan[]> {
  const before = await readPlans(
    trx,
    facts.map((f) => f.id),
  );
  const keptOf = (id: string) => before.get(id) ?? [];
  const plans = compiledNews(facts, planning, faults, (id, course) => {
    const news = newsBesidesDrift(course, keptOf(id), planning.today);
    const gone = keptOf(id).length > course.steps.length;
    return news.length > 0 || gone ? { news, digest: '' } : null;
  });
  return plans.map((p) => ({ ...p, kept: keptOf(p.cohortId) }));
}

/**
 * Compiles the courses of these cohorts again and keeps them; gives what moved, by cohort. The caller has taken
 * the cohorts for its transaction. `drift`: nothing but the day and its weather has changed.
 */
export async function replan(
  trx: Trx,
  ids: string[],
  cause: string,
  planning: Planning,
  drift = false,
): Promise<{ moved: Map<string, Moved[]>; plans: Plan[] }> {
  const faults = new Map<string, string>();
  const facts = await soundFacts(trx, ids, planning, faults);
  const plans = await (drift ? driftedPlans : newPlans)(trx, facts, planning, faults);
  const moved = new Map(
    plans.map((p) => [p.cohortId, p.kept.length > 0 ? diffCourse(p.kept, p.course, planning.today) : []]),
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
