import { createHash, hash } from 'node:crypto';
import { onlyDrifted, type Course, type Drifting, type PlannedStep } from '@gonimos/core/course';
import type { Sql } from '../db/index.ts';

/** A step of a plan as far as the next plan has to know it; the digest stands for the rest. */
export type KeptStep = Drifting & { digest: string };

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

type KeptValues = [
  key: string,
  title: string,
  status: KeptStep['status'],
  chain: string | null,
  container: string | null,
  ready: boolean,
  minutes: number,
  opens: string | null,
  closes: string | null,
  target: string | null,
  waits: KeptStep['waits'],
  digest: string,
];

// as plainly as can be: hundreds of thousands are read every day
function keptStep(v: KeptValues): KeptStep {
  return {
    key: v[0],
    title: v[1],
    status: v[2],
    chain: v[3],
    container: v[4],
    ready: v[5],
    minutes: v[6],
    opens: v[7],
    closes: v[8],
    target: v[9],
    waits: v[10],
    digest: v[11],
  };
}

const keptValues = (s: KeptStep): KeptValues => [
  s.key,
  s.title,
  s.status,
  s.chain,
  s.container,
  s.ready,
  s.minutes,
  s.opens,
  s.closes,
  s.target,
  s.waits,
  s.digest,
];

/** The plan last compiled for each of these cohorts. */
export async function readPlans(sql: Sql, ids: readonly string[]): Promise<Map<string, KeptStep[]>> {
  const rows = await sql('plan_kept').whereIn('cohortId', ids).select('cohortId', 'steps');
  return new Map(rows.map((r) => [r.cohortId, (JSON.parse(r.steps) as KeptValues[]).map(keptStep)]));
}

export interface Plan extends Written {
  cohortId: string;
  /** the plan before it */
  kept: readonly KeptStep[];
}

/** What the next plan is compared with: the steps that are news as they are now, all others as they were kept. */
function toKeep({ course, kept, news }: Plan): string {
  const before = new Map(kept.map((s) => [s.key, s]));
  const now = new Map<string, KeptStep>(news.map(({ step, digest }) => [step.key, { ...step, digest }]));
  const steps = course.steps.map((s) => now.get(s.key) ?? before.get(s.key)!);
  return JSON.stringify(steps.map(keptValues));
}

/** Keeps what the next plans are compared with. */
export async function writeKept(sql: Sql, plans: readonly Plan[]): Promise<void> {
  await sql.raw(
    `INSERT INTO plan_kept (cohort_id, steps) SELECT * FROM unnest(?::uuid[], ?::text[])
     ON CONFLICT (cohort_id) DO UPDATE SET steps = excluded.steps`,
    [plans.map((p) => p.cohortId), plans.map(toKeep)],
  );
}
