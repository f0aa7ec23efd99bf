import type { CourseStep, PlanChange } from '@gonimos/contract/course';
import type { Moved } from '@gonimos/core/course';
import type { Sql } from '../db/index.ts';
import { asColumns, toColumn } from '../db/names.ts';
import type { Laid } from './lay.ts';

const COLUMNS = {
  key: 's.key',
  operation: 's.operation',
  title: 's.title',
  lane: 's.lane',
  status: 's.status',
  opens: 's.opens',
  closes: 's.closes',
  opensEarly: 's.opensEarly',
  opensLate: 's.opensLate',
  target: 's.target',
  wantsOn: 's.wantsOn',
  doneOn: 's.doneOn',
  container: 's.container',
  rootCut: 's.rootCut',
  topCut: 's.topCut',
  ready: 's.ready',
  minutes: 's.minutes',
  reasons: 's.reasons',
  chain: 's.chain',
  odds: 's.odds',
  waits: 's.waits',
  offers: 's.offers',
  moved: 's.moved',
  missed: 's.missed',
  refusal: 's.refusal',
  span: 's.span',
  materials: 's.materials',
};

/** Plants that steps were done on and are not finished, of all cohorts at once: few steps are done in parts. */
export const DONE_IN_PARTS = `
  SELECT cohort_id, step_key, sum(done)::int AS done FROM standing_record
  WHERE kind = 'work' AND NOT finished AND NOT details \\? 'cuttings' GROUP BY cohort_id, step_key`;

/** Plants a step `s` was done on, as far as it is not finished. */
export const doneInParts = (sql: Sql) =>
  sql.raw(
    `coalesce((SELECT sum(w.done) FROM standing_record w WHERE w.cohort_id = s.cohort_id AND w.step_key = s.key
      AND w.kind = 'work' AND NOT w.finished AND NOT w.details \\? 'cuttings'), 0)::int`,
  );

/**
 * Plants a step `s` is about: aftercare of work that was done on a part of them is about that part; null: all.
 */
export const aboutPart = (sql: Sql) =>
  sql.raw(
    `(SELECT nullif(sum(w.done), 0)::int FROM course_step p JOIN standing_record w
        ON w.cohort_id = p.cohort_id AND w.step_key = p.key AND w.kind = 'work' AND NOT w.finished
        AND NOT w.details \\? 'cuttings'
      WHERE p.cohort_id = s.cohort_id AND p.key = s.chain AND p.status = 'planned')`,
  );

/** A step of a kept course beside what was last said of it. */
type ShownStep = Omit<CourseStep, 'putOff' | 'nextTime'> & {
  nextTime: string | null;
  until: string | null;
  reason: string | null;
};

/** The kept course of a cohort, with what was said of its steps. */
export async function readCourse(sql: Sql, cohortId: string): Promise<CourseStep[]> {
  const standing = (kinds: string[]) =>
    sql('standing_record as r')
      .where({ 'r.cohortId': cohortId })
      .whereIn('r.kind', kinds)
      .distinctOn('r.stepKey')
      .orderBy([{ column: 'r.stepKey' }, { column: 'r.seq', order: 'desc' }])
      .select('r.*');
  const rows = await sql('course_step as s')
    .leftJoin(standing(['work']).as('w'), 'w.stepKey', 's.key')
    .leftJoin(standing(['put off', 'visit']).whereNotNull('r.until').as('p'), 'p.stepKey', 's.key')
    .where({ 's.cohortId': cohortId })
    .orderBy('s.seq')
    .select({
      ...COLUMNS,
      recordId: 'w.id',
      nextTime: 'w.nextTime',
      until: 'p.until',
      reason: 'p.reason',
      part: doneInParts(sql),
      about: aboutPart(sql),
    });
  return (rows as ShownStep[]).map(({ until, reason, ...s }) => ({
    ...s,
    nextTime: s.nextTime ?? '',
    putOff: until && s.status === 'planned' ? { until, reason: reason ?? '' } : null,
  }));
}

/** Columns of a step, in the order of its row, with what they are. */
const STEP_COLUMNS = {
  cohortId: 'uuid',
  key: 'text',
  seq: 'int',
  operation: 'text',
  title: 'text',
  lane: 'text',
  status: 'text',
  opens: 'date',
  closes: 'date',
  opensEarly: 'date',
  opensLate: 'date',
  target: 'date',
  wantsOn: 'date',
  doneOn: 'date',
  container: 'text',
  rootCut: 'jsonb',
  topCut: 'jsonb',
  ready: 'boolean',
  minutes: 'double precision',
  reasons: 'jsonb',
  chain: 'text',
  odds: 'double precision',
  waits: 'jsonb',
  offers: 'text',
  moved: 'jsonb',
  missed: 'jsonb',
  refusal: 'text',
  span: 'jsonb',
  materials: 'jsonb',
};
const names = Object.keys(STEP_COLUMNS);
const told = names.filter((n) => n !== 'cohortId' && n !== 'key');
const columns = (of: readonly string[], from = ''): string => of.map((n) => from + toColumn(n)).join(', ');

/** Rows come in the words of the code; their columns are named here. */
const WRITE_STEPS = `INSERT INTO course_step (${columns(names)})
  SELECT ${names.map((n) => `x."${n}"`).join(', ')}
  FROM jsonb_to_recordset(?) AS x(${names.map((n) => `"${n}" ${STEP_COLUMNS[n as keyof typeof STEP_COLUMNS]}`).join(', ')})
  ON CONFLICT (cohort_id, key) DO UPDATE SET (${columns(told)}) = (${columns(told, 'excluded.')})`;

/** Steps that a changed programme or school has taken out of a course. */
async function dropGone(sql: Sql, plans: readonly Laid[]): Promise<void> {
  const gone = plans.flatMap((p) => p.gone.map((key) => [p.cohortId, key]));
  if (gone.length > 0) await sql('course_step').whereIn(['cohortId', 'key'], gone).delete();
}

/** Never part of a text in JSON, which writes it in other letters. */
const BETWEEN = '\u0001';

const listOf = (texts: readonly string[]): string => `[${texts.join(',')}]`;

/** Keeps plans: in three statements for however many cohorts, and only the steps that say something new. */
export async function writePlans(sql: Sql, plans: readonly Laid[]): Promise<void> {
  if (plans.length === 0) return;
  await dropGone(sql, plans);
  await sql.raw(WRITE_STEPS, [listOf(plans.flatMap((p) => p.rows))]);
  await sql.raw(
    `INSERT INTO plan_kept (cohort_id, steps)
       SELECT x.id, x.steps FROM unnest(?::uuid[], string_to_array(?, ?)) AS x(id, steps)
     ON CONFLICT (cohort_id) DO UPDATE SET steps = excluded.steps`,
    [plans.map((p) => p.cohortId), plans.map((p) => p.kept).join(BETWEEN), BETWEEN],
  );
  await sql.raw(
    `UPDATE cohort c SET rings = x.rings, ends_on = x."endsOn", root_bound_on = x."rootBoundOn",
       next_title = x."nextTitle", next_opens = x."nextOpens", next_closes = x."nextCloses",
       next_rule = x."nextRule", plan_digest = x."planDigest"
     FROM jsonb_to_recordset(?) AS x(id uuid, rings jsonb, "endsOn" date, "rootBoundOn" date, "nextTitle" text,
       "nextOpens" date, "nextCloses" date, "nextRule" text, "planDigest" text)
     WHERE c.id = x.id`,
    [listOf(plans.map((p) => p.summary))],
  );
}

/** Keeps what moved and why. */
export async function writeChanges(
  sql: Sql,
  today: string,
  cause: string,
  moved: ReadonlyMap<string, readonly Moved[]>,
): Promise<void> {
  const rows = [...moved].flatMap(([cohortId, steps]) =>
    steps.map((m) => ({
      cohortId: cohortId,
      onDate: today,
      cause,
      key: m.key,
      title: m.title,
      wasOpens: m.was.opens,
      wasCloses: m.was.closes,
      nowOpens: m.now.opens,
      nowCloses: m.now.closes,
      because: m.because,
    })),
  );
  if (rows.length === 0) return;
  await sql.raw(
    `INSERT INTO plan_change
       (cohort_id, on_date, cause, key, title, was_opens, was_closes, now_opens, now_closes, because)
     SELECT * FROM jsonb_to_recordset(?) AS x(cohort_id uuid, on_date date, cause text, key text, title text,
       was_opens date, was_closes date, now_opens date, now_closes date, because jsonb)`,
    [JSON.stringify(rows.map(asColumns))],
  );
}

export const readChanges = (sql: Sql, cohortId: string): Promise<PlanChange[]> =>
  sql('plan_change')
    .where({ cohortId: cohortId })
    // within a day by the time of the write; a reader is told the day as `at`
    .orderBy([{ column: 'onDate', order: 'desc' }, { column: 'plan_change.at', order: 'desc' }, 'nowOpens'])
    .limit(200)
    .select({
      id: 'id',
      at: 'onDate',
      key: 'key',
      title: 'title',
      cause: 'cause',
      wasOpens: 'wasOpens',
      wasCloses: 'wasCloses',
      nowOpens: 'nowOpens',
      nowCloses: 'nowCloses',
      because: 'because',
    });
