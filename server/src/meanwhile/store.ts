import type { Meanwhile } from '@gonimos/contract/meanwhile';
import { daysBetween } from '@gonimos/core/calendar';
import type { Sql, Trx } from '../db/index.ts';
import { sure } from '../db/sure.ts';

const MOST = 200;
/** Steps that moved by less are no news, days. */
const WORTH_TELLING = 7;

/** What others took down since a day. */
const recordsSince = (sql: Sql, since: string, personId: string): Promise<Meanwhile['records']> =>
  sql('standing_record as r')
    .join('cohort as c', 'c.id', 'r.cohortId')
    .join('person as p', 'p.id', 'r.personId')
    .leftJoin('course_step as s', (on) => on.on('s.cohortId', 'r.cohortId').andOn('s.key', 'r.stepKey'))
    .where('r.onDate', '>', since)
    .whereNot('r.personId', personId)
    .orderBy([
      { column: 'r.onDate', order: 'desc' },
      { column: 'r.seq', order: 'desc' },
    ])
    .limit(MOST)
    .select({
      id: 'r.id',
      on: 'r.onDate',
      cohortId: 'c.id',
      code: 'c.code',
      kind: 'r.kind',
      title: sql.raw("coalesce(s.title, 'A look')"),
      by: 'p.name',
    });

/** Each step that moved since a day, from where it stood then to where it stands now, or fell out of its course. */
async function movedSince(sql: Sql, since: string): Promise<Meanwhile['moved']> {
  const { rows } = await sql.raw<{ rows: Meanwhile['moved'] }>(
    `SELECT c.id AS "cohortId", c.code, f.key, coalesce(s.title, l.title) AS title, f.was_opens AS was,
       s.opens AS now, l.cause
     FROM (SELECT DISTINCT ON (cohort_id, key) cohort_id, key, was_opens FROM plan_change
       WHERE on_date > :since ORDER BY cohort_id, key, at) f
     JOIN (SELECT DISTINCT ON (cohort_id, key) cohort_id, key, title, cause, now_opens FROM plan_change
       WHERE on_date > :since ORDER BY cohort_id, key, at DESC) l USING (cohort_id, key)
     JOIN cohort c ON c.id = f.cohort_id AND c.growing
     LEFT JOIN course_step s ON s.cohort_id = f.cohort_id AND s.key = f.key
     WHERE CASE WHEN s.key IS NULL THEN l.now_opens IS NULL AND f.was_opens IS NOT NULL
       ELSE s.status IN ('planned', 'none') AND s.chain IS NULL
         AND ((s.opens IS NULL) <> (f.was_opens IS NULL) OR abs(s.opens - f.was_opens) >= :days) END
     ORDER BY abs(coalesce(s.opens - f.was_opens, 9999)) DESC, c.code LIMIT :most`,
    { since, days: WORTH_TELLING, most: MOST },
  );
  return rows;
}

const lostSince = (sql: Sql, since: string): Promise<Meanwhile['lost']> =>
  sql('ledger_entry as e')
    .leftJoin('ledger_entry as r', 'r.reverses', 'e.id')
    .whereIn('e.type', ['lost', 'lost_before_emergence'])
    .whereNull('r.id')
    .where('e.onDate', '>', since)
    .groupBy('e.cause')
    .orderBy('count', 'desc')
    .select({ cause: 'e.cause', count: sql.raw('sum(e.count)::int') });

/** What happened since a person was last here. */
export async function readMeanwhile(sql: Sql, personId: string, today: string): Promise<Meanwhile> {
  const { seenTo: since } = await sure(sql('person').where({ id: personId }).first('seenTo'));
  const nothing: Meanwhile = { since, today, days: 0, records: [], moved: [], lost: [], coldest: null };
  if (since === null || since >= today) return nothing;
  const records = await recordsSince(sql, since, personId);
  const moved = await movedSince(sql, since);
  const lost = await lostSince(sql, since);
  const coldest = await sql('weather_day')
    .where('onDate', '>', since)
    .orderBy('tmin')
    .first({ on: 'onDate', tmin: 'tmin' });
  return { since, today, days: daysBetween(since, today), records, moved, lost, coldest: coldest ?? null };
}

export const setSeen = (trx: Trx, personId: string, today: string): Promise<unknown> =>
  trx('person').where({ id: personId }).update({ seenTo: today });
