import { createHash, hash } from 'node:crypto';
import type { CourseStep, PlanChange } from '@gonimos/contract/course';
import { onlyDrifted, type Course, type Drifting, type Moved, type PlannedStep } from '@gonimos/core/course';
import { packRings } from '@gonimos/core/trunk';
import type { Sql } from '../db/index.ts';
import { asColumns, toColumn } from '../db/names.ts';

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

/** A step of a plan as far as the next plan has to know it; the digest stands for the rest. */
export type KeptStep = Drifting & { digest: string };

/** Columns of a kept step, in the order in which they are read. */
const KEPT = [
  'key',
  'title',
  'status',
  'chain',
  'container',
  'ready',
  'minutes',
  'opens',
  'closes',
  'target',
  'waits',
  'digest',
] as const satisfies readonly (keyof KeptStep)[];

/** Digests of whole plans as they are kept, by cohort. */
export async function readDigests(sql: Sql, ids: readonly string[]): Promise<Map<string, string>> {
  const rows: { id: string; digest: string }[] = await sql('cohort')
    .whereIn('id', ids)
    .select({ id: 'id', digest: 'planDigest' });
  return new Map(rows.map((r) => [r.id, r.digest]));
}

/** A course put into words for keeping: what is new in it, and a digest of all it says; '' where that was not asked. */
export interface Written {
  course: Course;
  news: readonly StepNews[];
  digest: string;
}

/** A step that says something else than is kept of it. */
interface StepNews {
  step: PlannedStep;
  seq: number;
  digest: string;
}

const digestOf = (text: string, seq: number): string => hash('sha1', `${seq} ${text}`, 'base64url');

/** Puts a course into words, and whether they are those that are kept; the rings that are shown go with the year. */
export function inWords(course: Course, today: string): { texts: readonly string[]; digest: string } {
  const { steps, ...rest } = course;
  const texts = steps.map((s) => JSON.stringify(s));
  const all = createHash('sha1').update(`${today.slice(0, 4)} ${JSON.stringify(rest)}`);
  for (const text of texts) all.update(text);
  return { texts, digest: all.digest('base64url') };
}

/** Steps whose words are not those that are kept. */
export function newsIn(course: Course, texts: readonly string[], kept: readonly KeptStep[]): StepNews[] {
  const before = new Map(kept.map((s) => [s.key, s.digest]));
  return course.steps.flatMap((step, seq) => {
    const digest = digestOf(texts[seq], seq);
    return before.get(step.key) === digest ? [] : [{ step, seq, digest }];
  });
}

/**
 * As `newsIn`, where nothing but the day and its weather has changed: what lies far ahead and has drifted by a day
 * is not even put into words.
 */
export function newsBesidesDrift(course: Course, kept: readonly KeptStep[], today: string): StepNews[] {
  const before = new Map(kept.map((s) => [s.key, s]));
  return course.steps.flatMap((step, seq) => {
    const was = before.get(step.key);
    if (was && onlyDrifted(was, step, today)) return [];
    const digest = digestOf(JSON.stringify(step), seq);
    return was?.digest === digest ? [] : [{ step, seq, digest }];
  });
}

/** The plan last compiled for each of these cohorts. */
export async function readPlans(sql: Sql, ids: readonly string[]): Promise<Map<string, KeptStep[]>> {
  // one row a cohort: hundreds of thousands of small rows cost more than they say
  const { rows } = await sql.raw<{ rows: { id: string; steps: unknown[][] }[] }>(
    `SELECT cohort_id AS id, json_agg(json_build_array(${KEPT.join(', ')}) ORDER BY seq) AS steps
     FROM course_step WHERE cohort_id = ANY(?::uuid[]) GROUP BY cohort_id`,
    [[...ids]],
  );
  const named = (values: unknown[]) =>
    Object.fromEntries(KEPT.map((k, i) => [k, values[i]])) as unknown as KeptStep;
  return new Map(rows.map((r) => [r.id, r.steps.map(named)]));
}

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

export interface Plan extends Written {
  cohortId: string;
  /** the plan before it */
  kept: readonly KeptStep[];
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
    news.map(({ step: s, seq, digest }) => ({
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
      digest,
    })),
  );
  await dropGone(sql, plans);
  if (plans.length === 0) return;
  await sql.raw(
    `INSERT INTO course_step SELECT * FROM jsonb_populate_recordset(NULL::course_step, ?)
     ON CONFLICT (cohort_id, key) DO UPDATE SET (${UPDATED.map(toColumn).join(', ')}) = (${UPDATED.map((c) => `excluded.${toColumn(c)}`).join(', ')})`,
    [JSON.stringify(rows.map(asColumns))],
  );
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
  'digest',
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
