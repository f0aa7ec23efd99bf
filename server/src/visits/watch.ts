import type { Watch } from '../watch/watch.ts';

/** A look that a visit asked for is told so many days ahead. */
const AHEAD_DAYS = 28;
/** The day a visit asked to look again. */
const CHECK_ON = "(r.details -> 'visit' ->> 'checkOn')::date";

interface Again {
  cohortId: string;
  code: string;
  on: string;
  checkOn: string;
  found: string;
}

/** Looks that visits asked for and nobody has taken since. */
export const visitsWatch: Watch = async (sql, today) => {
  const rows: Again[] = await sql('standing_record as r')
    .join('cohort as c', 'c.id', 'r.cohortId')
    .where({ 'r.kind': 'visit', 'c.growing': true })
    .whereRaw(`${CHECK_ON} <= ?::date + ?::int`, [today, AHEAD_DAYS])
    .whereNotExists(
      sql('record as l')
        .whereRaw("l.cohort_id = r.cohort_id AND l.seq > r.seq AND l.kind IN ('look', 'visit', 'released')")
        .select(sql.raw('1')),
    )
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      on: 'r.onDate',
      checkOn: sql.raw(CHECK_ON),
      found: 'r.reason',
    });
  return rows.map((a) => ({
    text: `${a.code}: look again, found {${a.on}}: ${a.found}`,
    when: a.checkOn,
    cohortId: a.cohortId,
  }));
};
