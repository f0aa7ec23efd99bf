import type { Identity } from '@gonimos/contract/lineage';
import type { Sql } from '../db/index.ts';

interface NewIdentity extends Pick<Identity, 'id' | 'on' | 'was' | 'now' | 'reason'> {
  cohortId: string;
  personId: string | null;
}

/** Keeps who a plant was taken to be before, and why it was named anew. */
export const insertIdentity = (sql: Sql, i: NewIdentity): Promise<unknown> =>
  sql('identity').insert({
    id: i.id,
    cohortId: i.cohortId,
    onDate: i.on,
    reason: i.reason,
    personId: i.personId,
    was: JSON.stringify(i.was),
    now: JSON.stringify(i.now),
  });

export const readIdentities = (sql: Sql, cohortId: string): Promise<Identity[]> =>
  sql('identity as i')
    .leftJoin('person as p', 'p.id', 'i.personId')
    .where({ 'i.cohortId': cohortId })
    .orderBy('i.seq', 'desc')
    .select({
      id: 'i.id',
      on: 'i.onDate',
      was: 'i.was',
      now: 'i.now',
      reason: 'i.reason',
      by: sql.raw("coalesce(p.name, '')"),
    });
