import type { FittingLine } from '@gonimos/contract/fittings';
import { operation, operationsThat, type Fitting } from '@gonimos/core/operations';
import type { Sql } from '../db/index.ts';

type OfStep = Omit<FittingLine, 'what' | 'how' | 'stepKey' | 'note' | 'stretch'> & {
  stepKey: string;
  operation: string;
};

/** What the courses say is on the plants: work that puts something on is done, what tends it is not. */
async function bySteps(sql: Sql): Promise<FittingLine[]> {
  const rows: OfStep[] = await sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 's.ready': true, 'c.growing': true })
    .whereIn(
      's.operation',
      operationsThat((o) => o.tends !== undefined),
    )
    .select({
      id: sql.raw("s.cohort_id || ' ' || s.key"),
      cohortId: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      placeId: 'c.placeId',
      stepKey: 's.key',
      operation: 's.operation',
      // asked for each: few of all steps are checks of what is on
      since: sql('course_step as p')
        .whereRaw('p.cohort_id = s.cohort_id AND p.key = s.chain')
        .select('p.doneOn'),
      from: sql.raw("coalesce((s.missed ->> 'opens')::date, s.opens)"),
      due: sql.raw("coalesce((s.missed ->> 'closes')::date, s.closes)"),
    });
  return rows.map(({ operation: id, ...line }) => ({
    ...line,
    note: '',
    stretch: null,
    ...operation(id).tends!,
  }));
}

type ByHand = Omit<FittingLine, 'how' | 'stepKey' | 'from' | 'what'> & { what: Fitting };

/** What was put on by hand and not taken off. */
async function byHand(sql: Sql): Promise<FittingLine[]> {
  const { rows } = await sql.raw<{ rows: ByHand[] }>(
    `SELECT f.id, c.id AS "cohortId", c.code, c.taxon_id AS "taxonId", c.place_id AS "placeId", f.what, f.note,
       f.stretch, f.due, r.on_date AS since
     FROM standing_record r
     JOIN cohort c ON c.id = r.cohort_id AND c.growing
     CROSS JOIN LATERAL jsonb_to_recordset(r.details -> 'fittings' -> 'on') AS f(id text, what text, note text, due date, stretch jsonb)
     WHERE r.details ? 'fittings' AND NOT EXISTS (
       SELECT 1 FROM standing_record o
       WHERE o.cohort_id = r.cohort_id AND o.details -> 'fittings' -> 'off' ? f.id)`.replaceAll(
      ' ? ',
      ' \\? ',
    ),
  );
  return rows.map((l) => ({ ...l, how: 'takes off', stepKey: null, from: l.due }));
}

/** Everything that is on plants and has a day, soonest first. */
export async function readFittings(sql: Sql): Promise<FittingLine[]> {
  const all = [...(await bySteps(sql)), ...(await byHand(sql))];
  return all.sort((a, b) => a.due.localeCompare(b.due) || a.code.localeCompare(b.code));
}
