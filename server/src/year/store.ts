import type { Worker } from '@gonimos/contract/year';
import { groupBy } from '@gonimos/core/group';
import type { Sql } from '../db/index.ts';
import { asColumns } from '../db/names.ts';
import { readPaces } from '../pace/store.ts';

/** Weeks kept for steps, by cohort. */
export async function readWeeks(
  sql: Sql,
  ids: string[],
): Promise<Map<string, { key: string; week: string }[]>> {
  const rows = await sql('year_week')
    .whereIn('cohortId', ids)
    .select({ cohortId: 'cohortId', key: 'key', week: 'week' });
  return groupBy(rows as { cohortId: string; key: string; week: string }[], (r) => r.cohortId);
}

export interface YearStepRow {
  cohortId: string;
  key: string;
  code: string;
  title: string;
  lane: string;
  operation: string;
  opens: string;
  closes: string;
  target: string;
  minutes: number;
  odds: number | null;
  waits: { key: string; days: number }[];
  week: string | null;
  later: number | null;
  locked: boolean | null;
  trail: [days: number, minutes: number][] | null;
}

/** Aftercare of a step: for each, days after the step it falls on, and its minutes. */
const TRAIL = `CASE WHEN s.chain IS NULL THEN
  (SELECT json_agg(json_build_array(greatest(0, a.target - s.target), a.minutes))
   FROM course_step a WHERE a.cohort_id = s.cohort_id AND a.chain = s.key AND a.status = 'planned') END`;

/** Open steps whose windows reach into the weeks looked at, each with its aftercare; and that of work that is done. */
export const readYearSteps = (sql: Sql, from: string, to: string): Promise<YearStepRow[]> =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .leftJoin('year_week as y', (on) => on.on('y.cohortId', 's.cohortId').andOn('y.key', 's.key'))
    .where({ 's.status': 'planned', 'c.growing': true })
    .where('s.opens', '<=', to)
    .where('s.closes', '>=', from)
    // aftercare is ready once the work it follows is done; until then it goes with that work
    .whereRaw('(s.chain IS NULL OR s.ready)')
    .orderBy(['s.cohortId', 's.seq'])
    .select({
      cohortId: 's.cohortId',
      key: 's.key',
      code: 'c.code',
      title: 's.title',
      lane: 's.lane',
      operation: 's.operation',
      opens: 's.opens',
      closes: 's.closes',
      target: 's.target',
      minutes: 's.minutes',
      odds: 's.odds',
      waits: 's.waits',
      week: 'y.week',
      later: 'y.later',
      locked: 'y.locked',
      trail: sql.raw(TRAIL),
    });

export async function readWorkers(sql: Sql, from: string, to: string): Promise<Worker[]> {
  const away = groupBy(
    await sql('absence')
      .whereBetween('week', [from, to])
      .orderBy('week')
      .select({ id: 'personId', week: 'week', hours: 'hours' }),
    (a: { id: string; week: string; hours: number }) => a.id,
  );
  const people = await sql('person')
    .orderBy('name')
    .select('id', 'name', 'role', 'version', 'hours', 'skilled');
  const { paces } = await readPaces(sql);
  return people.map((p: Omit<Worker, 'absences' | 'pace'>) => ({
    ...p,
    pace: paces.person(p.id).factor,
    absences: (away.get(p.id) ?? []).map(({ week, hours }) => ({ week, hours })),
  }));
}

export const readLockedWeeks = (sql: Sql): Promise<string[]> =>
  sql('locked_week').orderBy('week').pluck('week');

interface WeekRow {
  cohortId: string;
  key: string;
  week: string;
  later: number;
  locked: boolean;
}
export async function writeWeeks(sql: Sql, rows: WeekRow[]): Promise<void> {
  if (rows.length === 0) return;
  await sql.raw(
    `INSERT INTO year_week SELECT * FROM jsonb_populate_recordset(NULL::year_week, ?)
     ON CONFLICT (cohort_id, key) DO UPDATE SET week = excluded.week, later = excluded.later, locked = excluded.locked`,
    [JSON.stringify(rows.map(asColumns))],
  );
}
