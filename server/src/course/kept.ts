import { isOver, type Drifting, type PlannedStep } from '@gonimos/core/course';
import type { Sql } from '../db/index.ts';

/** A step of a plan as far as the next plan has to know it; the digest stands for the rest. */
export type KeptStep = Drifting & Pick<PlannedStep, 'wantsOn'> & { digest: string };

/** Of a step that is over nothing else is ever asked. */
type OverValues = [key: string, status: KeptStep['status'], digest: string];

type OpenValues = [
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
  wantsOn: string | null | undefined,
];

type KeptValues = OverValues | OpenValues;

const isOverValues = (v: KeptValues): v is OverValues => v.length === 3;

const overStep = ([key, status, digest]: OverValues): KeptStep => ({
  key,
  title: '',
  status,
  chain: null,
  container: null,
  ready: true,
  minutes: 0,
  opens: null,
  closes: null,
  target: null,
  waits: [],
  digest,
  wantsOn: null,
});

// as plainly as can be: hundreds of thousands are read every day
function keptStep(v: KeptValues): KeptStep {
  if (isOverValues(v)) return overStep(v);
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
    // plans kept before it was known have none
    wantsOn: v[12] ?? null,
  };
}

const keptValues = (s: KeptStep): KeptValues => (isOver(s) ? [s.key, s.status, s.digest] : openValues(s));

const openValues = (s: KeptStep): OpenValues => [
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
  s.wantsOn,
];

/** The plan last compiled for a cohort, as it is kept. */
export interface KeptPlan {
  /** of all it said; '' where that was not asked */
  digest: string;
  /** its steps as `asKept` wrote them */
  text: string;
}

export const asKept = (steps: readonly KeptStep[]): string => JSON.stringify(steps.map(keptValues));
export const keptSteps = (plan: KeptPlan): KeptStep[] =>
  (JSON.parse(plan.text) as KeptValues[]).map(keptStep);

const NOTHING_KEPT = '[]';

/** The plans last compiled for these cohorts. */
export async function readKept(sql: Sql, ids: readonly string[]): Promise<Map<string, KeptPlan>> {
  const rows: { id: string; digest: string; steps: string | null }[] = await sql('cohort as c')
    .leftJoin('plan_kept as k', 'k.cohortId', 'c.id')
    .whereIn('c.id', ids)
    .select({ id: 'c.id', digest: 'c.planDigest', steps: 'k.steps' });
  return new Map(rows.map((r) => [r.id, { digest: r.digest, text: r.steps ?? NOTHING_KEPT }]));
}
