import type { SharedPot } from '@gonimos/contract/pots';
import { commonOpening, opensPot, type Sharing } from '@gonimos/core/course';
import { groupBy } from '@gonimos/core/group';
import { operationsThat } from '@gonimos/core/operations';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

export interface Member {
  id: string;
  code: string;
  taxonId: string;
  live: number;
  hostId: string | null;
  container: string;
}

/** All that stand in one pot with a cohort, the host first; the cohort alone where it shares none. */
export async function membersOf(sql: Sql, cohortId: string): Promise<Member[]> {
  const own = await sql('cohort').where({ id: cohortId }).first('id', 'hostId');
  if (!own) throw notFound('cohort');
  const host = own.hostId ?? own.id;
  return sql('cohort')
    .where((q) => void q.where({ id: host }).orWhere({ hostId: host, growing: true }))
    .orderByRaw('host_id NULLS FIRST, code')
    .select('id', 'code', 'taxonId', 'live', 'hostId', 'container');
}

/** Steps of these cohorts that open their pot, as planned. */
export async function openingsOf(sql: Sql, ids: readonly string[]) {
  const steps = await sql('course_step')
    .whereIn('cohortId', ids)
    .where({ status: 'planned' })
    .whereIn('operation', operationsThat(opensPot))
    .orderBy('opens')
    .select('cohortId', 'key', 'operation', 'status', 'opens', 'closes', 'ready');
  return groupBy(steps, (s) => s.cohortId);
}

/** Since when these have grown together and cannot be parted; null where they can. */
export async function clumpSince(sql: Sql, ids: readonly string[]): Promise<string | null> {
  const row = await sql('standing_record')
    .whereIn('cohortId', ids)
    .whereRaw("details -> 'pot' ->> 'outcome' = 'clump'")
    .orderBy('onDate')
    .first('onDate');
  return row?.onDate ?? null;
}

/** A shared pot: who stands in it, when it may be opened for all, and whether it can be parted. */
export async function readPot(sql: Sql, cohortId: string, today: string): Promise<SharedPot> {
  const members = await membersOf(sql, cohortId);
  const ids = members.map((m) => m.id);
  const steps = await openingsOf(sql, ids);
  const sharing = members.map((m): Sharing => ({ code: m.code, steps: steps.get(m.id) ?? [] }));
  return {
    members: members.map(({ hostId, container: _, ...m }) => ({ ...m, host: hostId === null })),
    opening: members.length > 1 ? commonOpening(sharing, today) : { kind: 'none' },
    clump: await clumpSince(sql, ids),
  };
}
