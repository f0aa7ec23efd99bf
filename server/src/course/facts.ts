import type { CourseFacts, StepFact } from '@gonimos/core/course';
import type { Programme, School } from '@gonimos/core/programmes';
import { groupBy } from '../db/group.ts';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

export interface CohortFacts extends CourseFacts {
  id: string;
  placeId: string;
  /** step key → the record that finished it */
  doneBy: Map<string, string>;
}

interface CohortRow {
  id: string;
  taxon_id: string;
  programme: Programme;
  started_from: string;
  stands_at: string | null;
  first_container: string | null;
  split_from: string | null;
  split_seq: number | null;
  live: number;
  pending: number;
  place_id: string;
  school: School | null;
}

export interface RecordFact {
  id: string;
  seq: number;
  cohort_id: string;
  kind: 'work' | 'look' | 'put off';
  step_key: string | null;
  on_date: string;
  until: string | null;
  reason: string | null;
  finished: boolean;
  container: string | null;
  caliper: number | null;
  height: number | null;
  vigour: number | null;
}

/** Records that stand, oldest first, of these cohorts. */
async function standingRecords(sql: Sql, ids: string[]): Promise<Map<string, RecordFact[]>> {
  const rows: RecordFact[] = await sql('record as r')
    .leftJoin('record as u', 'u.undoes', 'r.id')
    .whereIn('r.cohort_id', ids)
    .whereNot('r.kind', 'undo')
    .whereNull('u.id')
    .orderBy('r.seq')
    .select(
      ...['id', 'seq', 'cohort_id', 'kind', 'step_key', 'on_date', 'until', 'reason', 'finished'].map(
        (c) => `r.${c}`,
      ),
      ...['container', 'caliper', 'height', 'vigour'].map((c) => `r.${c}`),
    );
  return groupBy(rows, (r) => r.cohort_id);
}

/** Follows splits back, so that a part keeps the history of the whole up to the parting. */
async function withHistory(sql: Sql, cohorts: CohortRow[]): Promise<Map<string, RecordFact[]>> {
  const own = await standingRecords(
    sql,
    cohorts.map((c) => c.id),
  );
  for (const c of cohorts) {
    let [from, until] = [c.split_from, c.split_seq];
    while (from !== null) {
      const before = (await standingRecords(sql, [from])).get(from) ?? [];
      own.set(c.id, [...before.filter((r) => r.seq <= until!), ...(own.get(c.id) ?? [])]);
      const next = await sql('cohort').where({ id: from }).first('split_from', 'split_seq');
      [from, until] = [next.split_from, next.split_seq];
    }
  }
  return own;
}

function stepFacts(c: CohortRow, records: RecordFact[]): Pick<CohortFacts, 'steps' | 'doneBy'> {
  const steps: Record<string, StepFact> = {};
  const doneBy = new Map<string, string>();
  if (c.stands_at !== null)
    for (const s of c.programme.steps) {
      if (s.key === c.stands_at) break;
      steps[s.key] = { status: 'dropped' };
    }
  for (const r of records) {
    if (!r.step_key) continue;
    if (r.kind === 'put off')
      steps[r.step_key] = { status: 'planned', putOff: { until: r.until!, reason: r.reason! } };
    else if (r.finished) {
      steps[r.step_key] = { status: 'done', doneOn: r.on_date, container: r.container };
      doneBy.set(r.step_key, r.id);
    }
  }
  return { steps, doneBy };
}

/** What the compiler needs to know of cohorts: all living ones, or those named. */
export async function readFacts(sql: Sql, ids?: string[]): Promise<CohortFacts[]> {
  const query = sql<CohortRow>('cohort').select(
    ...[
      'id',
      'taxon_id',
      'programme',
      'started_from',
      'stands_at',
      'first_container',
      'split_from',
      'split_seq',
    ],
    ...['live', 'pending', 'place_id', 'school'],
  );
  if (ids) query.whereIn('id', ids);
  else query.where('growing', true);
  const cohorts = (await query) as CohortRow[];
  if (ids && cohorts.length < ids.length) throw notFound('cohort');
  const records = await withHistory(sql, cohorts);
  return cohorts.map((c) => {
    const own = records.get(c.id) ?? [];
    return {
      id: c.id,
      placeId: c.place_id,
      taxonId: c.taxon_id,
      programme: c.programme,
      startedOn: c.started_from,
      live: c.live || c.pending,
      firstContainer: c.first_container,
      school: c.school,
      sizes: own
        .filter((r) => r.caliper !== null || r.height !== null)
        .map((r) => ({ on: r.on_date, caliper: r.caliper, height: r.height })),
      vigour: own.filter((r) => r.vigour !== null).map((r) => ({ on: r.on_date, value: r.vigour! })),
      ...stepFacts(c, own),
    };
  });
}
