import type { Programme } from '@gonimos/core/programmes';
import type { Sql } from '../db/index.ts';

/** Programmes that were read, by their digest: thousands of cohorts follow the same few. */
const programmes = new Map<string, Programme>();
const MOST_PROGRAMMES = 500;

/** The programmes that these cohorts follow, by their digest; only those not known yet are read. */
export async function programmesOf(
  sql: Sql,
  cohorts: readonly { id: string; programmeDigest: string }[],
): Promise<ReadonlyMap<string, Programme>> {
  // before it is seen which are unknown: whoever is asked for now must be there afterwards
  if (programmes.size > MOST_PROGRAMMES) programmes.clear();
  const follows = new Map(cohorts.map((c) => [c.programmeDigest, c.id]));
  const unknown = [...follows].filter(([digest]) => !programmes.has(digest)).map(([, id]) => id);
  if (unknown.length > 0) {
    const read: { programmeDigest: string; programme: Programme }[] = await sql('cohort')
      .whereIn('id', unknown)
      .select('programmeDigest', 'programme');
    for (const r of read) programmes.set(r.programmeDigest, r.programme);
  }
  return programmes;
}
