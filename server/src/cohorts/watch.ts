import { container, hasContainer } from '@gonimos/core/containers';
import type { Watch } from '../watch/watch.ts';

/** Second-best pots are told so many days before the plants are to leave them. */
const AHEAD_DAYS = 28;
/** The day by which they go on, and what they stand in till then. */
const UNTIL = "(r.details #>> '{potting,until}')::date";
const INTO = "r.details #>> '{potting,container}'";

interface Makeshift {
  cohortId: string;
  code: string;
  until: string;
  into: string;
}

/** Plants that were potted into the second best for now, and have not gone on since. */
export const makeshiftWatch: Watch = async (sql, today) => {
  const rows: Makeshift[] = await sql('standing_record as r')
    .join('cohort as c', 'c.id', 'r.cohortId')
    .where('c.growing', true)
    .whereRaw(`${UNTIL} <= ?::date + ?::int`, [today, AHEAD_DAYS])
    .whereNotExists(
      sql('standing_record as l')
        .whereRaw("l.cohort_id = r.cohort_id AND l.seq > r.seq AND l.details -> 'potting' IS NOT NULL")
        .whereRaw("l.details -> 'potting' <> 'null'::jsonb")
        .select(sql.raw('1')),
    )
    .select({ cohortId: 'c.id', code: 'c.code', until: sql.raw(UNTIL), into: sql.raw(INTO) });
  return rows.map((m) => ({
    text: `${m.code}: in ${hasContainer(m.into) ? container(m.into).name : m.into} for now, on into what was wanted`,
    when: m.until,
    cohortId: m.cohortId,
  }));
};
