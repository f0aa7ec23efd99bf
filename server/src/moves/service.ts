import type {
  AskDone,
  AskPutOff,
  BatchLine,
  BatchPutOff,
  DoneAnswer,
  MoveAnswer,
  MoveStep,
  PutOffAnswer,
} from '@gonimos/contract/moves';
import type { Outcome } from '@gonimos/contract/outcome';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { changeOfCourse, mayMove, type RuleName } from '@gonimos/core/course';
import { taxon } from '@gonimos/core/taxa';
import type { Planning } from '../facts/source.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { compileFor, readyFacts } from '../planning/replan.ts';
import type { Sql } from '../db/index.ts';
import { Refusal, wrongField } from '../http/problem.ts';
import { openOwnStep, openStep } from '../course/open.ts';
import { onCohort } from '../course/outcome.ts';
import { lockCohort } from '../write/lock.ts';
import { insertLines } from '../records/store.ts';
import type { Writing, Written } from '../write/types.ts';

async function ask(sql: Sql, planning: Planning, cohortId: string, key: string, to: string) {
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const book = planning.books.get(facts.placeId)!;
  const refused = mayMove(facts, book, planning.today, key, to);
  return { facts, refused: refused ? { rule: refused.rule, text: refused.text } : null };
}

/** Whether a step may be set to a day, and what would move with it if it were. */
export async function tryMove(
  sql: Sql,
  planning: Planning,
  cohortId: string,
  key: string,
  to: string,
): Promise<MoveAnswer> {
  await openOwnStep(sql, cohortId, key);
  const { facts, refused } = await ask(sql, planning, cohortId, key, to);
  const before = compileFor(facts, planning);
  const moved = { to, overrides: refused?.rule ?? null, reason: '' };
  const steps = { ...facts.steps, [key]: { ...(facts.steps[key] ?? { status: 'planned' }), moved } };
  return { refused, change: changeOfCourse(before, compileFor({ ...facts, steps }, planning)) };
}

/** Days ahead that are offered, as far as the window lasts. */
const OFFERED = [7, 14, 28];

/** The days offered that stay within a window, and its last days. */
function daysWithin(window: PutOffAnswer['window'], today: string): string[] {
  if (!window || window.closes <= addDays(today, 1)) return [];
  const last = addDays(window.closes, -1);
  const days = OFFERED.map((n) => addDays(today, n)).filter((d) => d < last);
  return last > today ? [...days, last] : days;
}

/** What putting a step off until a day would cost: where it lands, and what moves with it. */
export async function putOffCost(
  sql: Sql,
  planning: Planning,
  { cohortId, stepKey, until }: AskPutOff,
): Promise<PutOffAnswer> {
  await openOwnStep(sql, cohortId, stepKey);
  if (until <= planning.today) throw wrongField('until', `is not after today, ${planning.today}`);
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const before = compileFor(facts, planning);
  const fact = facts.steps[stepKey] ?? { status: 'planned' };
  const putOff = { until, reason: 'not yet' };
  const steps = { ...facts.steps, [stepKey]: { ...fact, missed: undefined, moved: undefined, putOff } };
  const after = compileFor({ ...facts, steps }, planning);
  const windowIn = (course: typeof before) => {
    const step = course.steps.find((s) => s.key === stepKey);
    return step?.opens && step.closes ? { opens: step.opens, closes: step.closes } : null;
  };
  const window = windowIn(before);
  const change = changeOfCourse(before, after);
  const { was, now } = change.ends;
  return {
    window,
    lands: windowIn(after),
    past: window !== null && until > window.closes,
    endMoves: was && now ? daysBetween(was, now) : null,
    within: daysWithin(window, planning.today),
    change,
  };
}

/** What doing a step on a day would move, beside the plan as it stands. */
export async function doneCost(
  sql: Sql,
  planning: Planning,
  { cohortId, stepKey, on }: AskDone,
): Promise<DoneAnswer> {
  await openStep(sql, cohortId, stepKey);
  if (on > planning.today) throw wrongField('on', `is after today, ${planning.today}`);
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const before = compileFor(facts, planning);
  const steps = { ...facts.steps, [stepKey]: { status: 'done' as const, doneOn: on } };
  return { change: changeOfCourse(before, compileFor({ ...facts, steps }, planning)) };
}

/** Sets a step to a day: inside its window, or against a rule with a reason that is kept. */
export async function setStep(
  { trx, personId, planning: open }: Writing,
  m: MoveStep,
): Promise<Written<Outcome>> {
  await lockCohort(trx, m.cohortId);
  const step = await openOwnStep(trx, m.cohortId, m.stepKey);
  const planning = await open();
  const { refused } = await ask(trx, planning, m.cohortId, m.stepKey, m.to);
  let overrides: RuleName | null = null;
  if (refused) {
    if (m.to < planning.today) throw wrongField('to', `is before today, ${planning.today}`);
    if (m.override !== 'yes')
      throw new Refusal('refused-by-a-rule', `The rule ‘${refused.rule}’ refuses: ${refused.text}`, {
        errors: [{ field: 'to', reason: `is refused by the rule ‘${refused.rule}’` }],
        current: refused,
      });
    if (!m.reason.trim()) throw wrongField('reason', 'is missing: why against the rule');
    overrides = refused.rule;
  }
  await insertLines(trx, [
    {
      id: m.id,
      cohortId: m.cohortId,
      kind: 'moved',
      stepKey: m.stepKey,
      on: planning.today,
      until: m.to,
      reason: m.reason,
      finished: false,
      personId,
      details: overrides ? { move: { overrides } } : {},
    },
  ]);
  return onCohort(trx, m.cohortId, m.id, `‘${step.title}’ was set to ${m.to} by hand`);
}

/** Open steps that a batch would put off, with the day each would wait for. */
export async function batchLines(sql: Sql, b: BatchPutOff): Promise<BatchLine[]> {
  const today = todayAt(await readNursery(sql));
  const query = sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 's.lane': b.lane, 'c.growing': true })
    .whereNull('s.chain')
    .where('s.opens', '<=', addDays(today, b.within))
    .orderBy(['c.code', 's.seq'])
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      stepKey: 's.key',
      title: 's.title',
      opens: 's.opens',
      closes: 's.closes',
    });
  if (b.placeId) void query.where('c.placeId', b.placeId);
  const rows = (await query) as (Omit<BatchLine, 'until'> & { taxonId: string })[];
  return rows
    .filter((r) => b.kind === null || r.taxonId === b.kind || taxon(r.taxonId).group === b.kind)
    .map(({ taxonId: _t, ...r }) => {
      const from = r.opens > today ? r.opens : today;
      return { ...r, until: addDays(from, b.days) };
    });
}
