import type { CourseStep, PlanChange } from '@gonimos/contract/course';
import type { Moved } from '@gonimos/core/course';
import { packRings } from '@gonimos/core/trunk';
import type { Sql } from '../db/index.ts';
import { asColumns, toColumn } from '../db/names.ts';
import { writeKept, type Plan } from './kept.ts';

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

/** Rings a section draws: all that has grown, and a few seasons ahead. */
const RINGS_AHEAD = 4;

function summary({ cohortId, course, digest }: Plan, today: string) {
  const next = course.steps
    .filter((s) => s.status === 'planned' && s.opens !== null)
    .sort((a, b) => Number(b.ready) - Number(a.ready) || (a.opens! < b.opens! ? -1 : 1))[0];
  return {
    id: cohortId,
    planDigest: digest,
    rings: packRings(course.rings.filter((r) => r.season <= Number(today.slice(0, 4)) + RINGS_AHEAD)),
    endsOn: course.endsOn,
    rootBoundOn: course.rootBoundOn,
    nextTitle: next?.title ?? null,
    nextOpens: next?.opens ?? null,
    nextCloses: next?.closes ?? null,
    nextRule: next?.reasons.find((r) => r.binding)?.rule ?? null,
  };
}

/** Steps that a changed programme or school has taken out of a course. */
async function dropGone(sql: Sql, plans: Plan[]): Promise<void> {
  const gone = plans.flatMap(({ cohortId, kept, course }) => {
    const now = new Set(course.steps.map((s) => s.key));
    return kept.filter((s) => !now.has(s.key)).map((s) => [cohortId, s.key]);
  });
  if (gone.length > 0) await sql('course_step').whereIn(['cohortId', 'key'], gone).delete();
}

/** Keeps plans: in two statements for however many cohorts, and only the steps that say something new. */
export async function writePlans(sql: Sql, plans: Plan[], today: string): Promise<void> {
  const rows = plans.flatMap(({ cohortId, news }) =>
    news.map(({ step: s, seq }) => ({
      cohortId: cohortId,
      key: s.key,
      seq,
      operation: s.operation,
      title: s.title,
      lane: s.lane,
      status: s.status,
      opens: s.opens,
      closes: s.closes,
      opensEarly: s.opensEarly,
      opensLate: s.opensLate,
      target: s.target,
      doneOn: s.doneOn,
      container: s.container,
      rootCut: s.rootCut,
      topCut: s.topCut,
      ready: s.ready,
      minutes: s.minutes,
      reasons: s.reasons,
      refusal: s.refusal,
      span: s.span,
      materials: s.materials,
      chain: s.chain,
      odds: s.odds,
      waits: s.waits,
      offers: s.offers,
      moved: s.moved,
      missed: s.missed,
    })),
  );
  await dropGone(sql, plans);
  if (plans.length === 0) return;
  await sql.raw(
    `INSERT INTO course_step SELECT * FROM jsonb_populate_recordset(NULL::course_step, ?)
     ON CONFLICT (cohort_id, key) DO UPDATE SET (${UPDATED.map(toColumn).join(', ')}) = (${UPDATED.map((c) => `excluded.${toColumn(c)}`).join(', ')})`,
    [JSON.stringify(rows.map(asColumns))],
  );
  await writeKept(sql, plans);
  await sql.raw(
    `UPDATE cohort c SET rings = x.rings, ends_on = x.ends_on, root_bound_on = x.root_bound_on, next_title = x.next_title,
       next_opens = x.next_opens, next_closes = x.next_closes, next_rule = x.next_rule,
       plan_digest = x.plan_digest
     FROM jsonb_to_recordset(?) AS x(id uuid, rings jsonb, ends_on date, root_bound_on date, next_title text,
       next_opens date, next_closes date, next_rule text, plan_digest text)
     WHERE c.id = x.id`,
    [JSON.stringify(plans.map((p) => asColumns(summary(p, today))))],
  );
}
const UPDATED = [
  'seq',
  'operation',
  'title',
  'lane',
  'chain',
  'odds',
  'waits',
  'offers',
  'moved',
  'missed',
  'status',
  'opens',
  'closes',
  'opensEarly',
  'opensLate',
  'target',
  'doneOn',
  'container',
  'rootCut',
  'topCut',
  'refusal',
  'span',
  'materials',
  'ready',
  'minutes',
  'reasons',
];

/** Keeps what moved and why. */
export async function writeChanges(
  sql: Sql,
  today: string,
  cause: string,
  moved: Map<string, Moved[]>,
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
    .orderBy([{ column: 'at', order: 'desc' }, 'nowOpens'])
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
