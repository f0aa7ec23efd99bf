import type { CourseStep, PlanChange } from '@gonimos/contract/course';
import type { Course, Moved, PlannedStep } from '@gonimos/core/course';
import { groupBy } from '../db/group.ts';
import type { Sql } from '../db/index.ts';

const COLUMNS = {
  key: 's.key',
  operation: 's.operation',
  title: 's.title',
  lane: 's.lane',
  status: 's.status',
  opens: 's.opens',
  closes: 's.closes',
  opensEarly: 's.opens_early',
  opensLate: 's.opens_late',
  target: 's.target',
  doneOn: 's.done_on',
  container: 's.container',
  rootCut: 's.root_cut',
  ready: 's.ready',
  minutes: 's.minutes',
  reasons: 's.reasons',
};

/** The plan last compiled for each of these cohorts. */
export async function readPlans(sql: Sql, ids: string[]): Promise<Map<string, PlannedStep[]>> {
  const rows: (PlannedStep & { cohortId: string })[] = await sql('course_step as s')
    .whereIn('s.cohort_id', ids)
    .orderBy('s.seq')
    .select({ ...COLUMNS, cohortId: 's.cohort_id' });
  return groupBy(rows, (r) => r.cohortId);
}

/** The kept course of a cohort, with what was said of its steps. */
export async function readCourse(sql: Sql, cohortId: string): Promise<CourseStep[]> {
  const standing = (kind: string) =>
    sql('record as r')
      .leftJoin('record as u', 'u.undoes', 'r.id')
      .where({ 'r.cohort_id': cohortId, 'r.kind': kind })
      .whereNull('u.id')
      .distinctOn('r.step_key')
      .orderBy([{ column: 'r.step_key' }, { column: 'r.seq', order: 'desc' }])
      .select('r.*');
  const rows = await sql('course_step as s')
    .leftJoin(standing('work').as('w'), 'w.step_key', 's.key')
    .leftJoin(standing('put off').as('p'), 'p.step_key', 's.key')
    .where({ 's.cohort_id': cohortId })
    .orderBy('s.seq')
    .select({
      ...COLUMNS,
      recordId: 'w.id',
      nextTime: 'w.next_time',
      until: 'p.until',
      reason: 'p.reason',
    });
  return rows.map(({ until, reason, ...s }) => ({
    ...s,
    nextTime: s.nextTime ?? '',
    putOff: until && s.status === 'planned' ? { until, reason } : null,
  }));
}

export async function writePlan(sql: Sql, cohortId: string, course: Course): Promise<void> {
  await sql('course_step')
    .insert(
      course.steps.map((s, seq) => ({
        cohort_id: cohortId,
        key: s.key,
        seq,
        operation: s.operation,
        title: s.title,
        lane: s.lane,
        status: s.status,
        opens: s.opens,
        closes: s.closes,
        opens_early: s.opensEarly,
        opens_late: s.opensLate,
        target: s.target,
        done_on: s.doneOn,
        container: s.container,
        root_cut: s.rootCut ? JSON.stringify(s.rootCut) : null,
        ready: s.ready,
        minutes: s.minutes,
        reasons: JSON.stringify(s.reasons),
      })),
    )
    .onConflict(['cohort_id', 'key'])
    .merge();
  const next = course.steps
    .filter((s) => s.status === 'planned' && s.opens !== null)
    .sort((a, b) => (a.opens! < b.opens! ? -1 : a.opens! > b.opens! ? 1 : 0))
    .sort((a, b) => Number(b.ready) - Number(a.ready))[0];
  await sql('cohort')
    .where({ id: cohortId })
    .update({
      rings: JSON.stringify(course.rings.map((r) => ({ ...r, caliper: Math.round(r.caliper * 10) / 10 }))),
      ends_on: course.endsOn,
      next_title: next?.title ?? null,
      next_opens: next?.opens ?? null,
      next_closes: next?.closes ?? null,
      next_rule: next?.reasons.find((r) => r.binding)?.rule ?? null,
    });
}

export async function writeChanges(
  sql: Sql,
  cohortId: string,
  today: string,
  cause: string,
  moved: Moved[],
): Promise<void> {
  if (moved.length === 0) return;
  await sql('plan_change').insert(
    moved.map((m) => ({
      cohort_id: cohortId,
      on_date: today,
      cause,
      key: m.key,
      title: m.title,
      was_opens: m.was.opens,
      was_closes: m.was.closes,
      now_opens: m.now.opens,
      now_closes: m.now.closes,
      because: JSON.stringify(m.because),
    })),
  );
}

export const readChanges = (sql: Sql, cohortId: string): Promise<PlanChange[]> =>
  sql('plan_change')
    .where({ cohort_id: cohortId })
    .orderBy([{ column: 'at', order: 'desc' }, 'now_opens'])
    .limit(200)
    .select({
      id: 'id',
      at: 'on_date',
      key: 'key',
      title: 'title',
      cause: 'cause',
      wasOpens: 'was_opens',
      wasCloses: 'was_closes',
      nowOpens: 'now_opens',
      nowCloses: 'now_closes',
      because: 'because',
    });
