import type { AdoptAnswer, AdoptCourse } from '@gonimos/contract/trunk';
import type { Outcome } from '@gonimos/contract/outcome';
import { adopt, faultsOf, labStart, SEASONS, type Adopted } from '@gonimos/core/lab';
import { sure } from '../db/sure.ts';
import type { Sql } from '../db/index.ts';
import type { Planning } from '../facts/source.ts';
import { Refusal } from '../http/problem.ts';
import { keepProgramme, retargetCohort, tryRetarget } from '../library/service.ts';
import { readyFacts } from '../planning/replan.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';

/** A cohort's own programme out of the lab: each course taken over is a version of it. */
const ownId = (cohortId: string): string => `lab-${cohortId.slice(0, 8)}`;

/** The course as a programme of the cohort's own; refused with its field where it cannot be followed. */
async function made(sql: Sql, planning: Planning, { cohortId, wish }: AdoptCourse): Promise<Adopted> {
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const book = planning.books.get(facts.placeId)!;
  const start = labStart(facts, book, planning.today);
  const faults = faultsOf(wish, start, SEASONS);
  if (faults.length > 0)
    throw new Refusal('cannot-be-followed', faults.map((f) => `${f.field} ${f.text}`).join('; '), {
      errors: faults.map((f) => ({ field: `wish.${f.field}`, reason: f.text })),
    });
  return adopt(facts, book, planning.today, wish, start.year, SEASONS);
}

async function versionOf(sql: Sql, id: string): Promise<number> {
  const last = await sql('programme')
    .where({ id })
    .max({ version: 'version' })
    .first<{ version: number | null }>();
  return last?.version ?? 0;
}

/** What taking a course into the plan would change; nothing is written. */
export async function tryAdopt(sql: Sql, planning: Planning, a: AdoptCourse): Promise<AdoptAnswer> {
  const { programme, byHand } = await made(sql, planning, a);
  const id = ownId(a.cohortId);
  const to = { programme: { ...programme, id }, version: (await versionOf(sql, id)) + 1 };
  return { ...(await tryRetarget(sql, planning, a.cohortId, to)), byHand };
}

/** Takes a course into the plan: it is kept as the cohort's own programme, and the cohort carried over to it. */
export async function adoptCourse(w: Writing, a: AdoptCourse, personId: string): Promise<Written<Outcome>> {
  await lockCohort(w.trx, a.cohortId);
  const { programme } = await made(w.trx, await w.planning(), a);
  const id = ownId(a.cohortId);
  const { programmeId } = await sure(w.trx('cohort').where({ id: a.cohortId }).first('programmeId'));
  const basedOn = await versionOf(w.trx, id);
  const { version } = await keepProgramme(
    w.trx,
    { programmeId: id, basedOn, copyOf: programmeId },
    programme,
    personId,
  );
  const to = { programme: { ...programme, id }, version };
  return retargetCohort(w, { id: a.id, cohortId: a.cohortId, goalCaliper: a.goal, goal: '' }, to);
}
