import { randomUUID } from 'node:crypto';
import type { AnswerMissed } from '@gonimos/contract/missed';
import type { Outcome } from '@gonimos/contract/outcome';
import { workOn } from '@gonimos/contract/records';
import { onCohort } from '../course/outcome.ts';
import { conflict, wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { recordWork } from '../records/service.ts';
import { insertLines } from '../records/store.ts';
import { lockCohorts } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { missedSteps } from './store.ts';

/** A step that was missed, as the plan has it now. */
interface Missed {
  cohortId: string;
  key: string;
  title: string;
  /** when it opens next; null: its day has gone */
  opens: string | null;
}

/** The steps named, each of which must still wait for a word. */
async function waiting(w: Writing, a: AnswerMissed): Promise<Missed[]> {
  const found = await missedSteps(
    w.trx,
    a.steps.map((s) => s.cohortId),
  );
  return a.steps.map(({ cohortId, stepKey }) => {
    const step = found.find((f) => f.cohortId === cohortId && f.key === stepKey);
    if (!step) throw conflict('Something was said of one of these steps meanwhile. Look at the list again.');
    return step;
  });
}

/** One line of the logbook for each: left out for good, or left for the window it has next. */
function lineOf(s: Missed, a: AnswerMissed, today: string) {
  if (a.answer === 'let go') return { kind: 'let go' as const, until: null, reason: null };
  if (s.opens === null || s.opens <= today)
    throw wrongField(
      'answer',
      `is not possible for ‘${s.title}’: it has no other window. Do it, or let it go`,
    );
  return { kind: 'put off' as const, until: s.opens, reason: 'missed; left for its next window' };
}

/** Says what became of steps that were missed; one undo takes all of it back. */
export async function answerMissedSteps(w: Writing, a: AnswerMissed): Promise<Written<Outcome>> {
  if (a.answer === 'done' && a.on === null) throw wrongField('on', 'is missing: the day it was done');
  const ids = a.steps.map((s) => s.cohortId);
  await lockCohorts(w.trx, ids);
  const steps = await waiting(w, a);
  const today = todayAt(await readNursery(w.trx));
  const first = randomUUID();
  for (const [i, s] of steps.entries()) {
    const id = i === 0 ? first : randomUUID();
    const follows = i === 0 ? undefined : first;
    const { cohortId, key: stepKey } = s;
    if (a.answer === 'done') await recordWork(w, workOn({ id, cohortId, stepKey, on: a.on! }), follows);
    else
      await insertLines(w.trx, [
        { id, cohortId, stepKey, on: today, personId: w.personId, follows, ...lineOf(s, a, today) },
      ]);
  }
  const many = steps.length > 1 ? ` and ${steps.length - 1} more` : '';
  return onCohort(w.trx, ids[0], first, `what was missed: ‘${steps[0].title}’${many}`, ids.slice(1));
}
