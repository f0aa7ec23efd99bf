import type { RoundStep } from '@gonimos/contract/round';
import { operationsThat } from '@gonimos/core/operations';
import type { Sql } from '../db/index.ts';

const GUARD_DAYS = 35;
/** The day a visit asked to look again. */
const CHECK_ON = "(r.details -> 'visit' ->> 'checkOn')::date";
/** A check that a visit asked for is told so many days ahead. */
const LOOK_AHEAD_DAYS = 28;

/** Wires that are on, and roots cut lately, with what is known of each. */
export async function readWatched(sql: Sql, today: string) {
  const done = (operations: string[]) =>
    sql('course_step as s')
      .join('cohort as c', 'c.id', 's.cohort_id')
      .where({ 's.status': 'done', 'c.growing': true })
      .whereIn('s.operation', operations)
      .select({ cohortId: 'c.id', code: 'c.code', placeId: 'c.place_id', key: 's.key', doneOn: 's.done_on' });
  const wires: { cohortId: string; code: string; doneOn: string; checkOpens: string | null }[] = await done(
    operationsThat((o) => o.puts === 'wire'),
  )
    .join('course_step as k', (on) =>
      on.on('k.cohort_id', 'c.id').andOnIn(
        'k.operation',
        operationsThat((o) => o.checks === 'wire'),
      ),
    )
    .where('k.status', 'planned')
    .select({ checkOpens: 'k.opens' });
  const cut: { cohortId: string; code: string; placeId: string; doneOn: string }[] = await done(
    operationsThat((o) => o.loosens === true),
  ).whereRaw('s.done_on > ?::date - ?::int', [today, GUARD_DAYS]);
  const again: { cohortId: string; code: string; on: string; checkOn: string; found: string }[] = await sql(
    'standing_record as r',
  )
    .join('cohort as c', 'c.id', 'r.cohort_id')
    .where({ 'r.kind': 'visit', 'c.growing': true })
    .whereRaw(`${CHECK_ON} <= ?::date + ?::int`, [today, LOOK_AHEAD_DAYS])
    // looked at since
    .whereNotExists(
      sql('record as l')
        .whereRaw("l.cohort_id = r.cohort_id AND l.seq > r.seq AND l.kind IN ('look', 'visit', 'released')")
        .select(sql.raw('1')),
    )
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      on: 'r.on_date',
      checkOn: sql.raw(CHECK_ON),
      found: 'r.reason',
    });
  return { wires, cut, again };
}

const openSteps = (sql: Sql, today: string, ahead: boolean, until: string) =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohort_id')
    .where({ 's.status': 'planned', 's.ready': true, 'c.growing': true })
    .where('s.opens', '<=', until)
    .where('s.opens', ahead ? '>' : '<=', today);

/** How many steps are open, and how many of them close by a day. */
export async function countOpen(sql: Sql, today: string, closingBy: string) {
  const row = await openSteps(sql, today, false, today)
    .select(
      sql.raw('count(*)::int AS open, (count(*) FILTER (WHERE s.closes <= ?))::int AS closing', [closingBy]),
    )
    .first<{ open: number; closing: number }>();
  return row;
}

/**
 * Steps that wait for nothing, of cohorts with anything alive: those open today, soonest closing first,
 * or those that open after it and by `until`, soonest first.
 */
export async function readOpenSteps(
  sql: Sql,
  today: string,
  { ahead, until, most }: { ahead: boolean; until: string; most: number },
): Promise<RoundStep[]> {
  const chosen = openSteps(sql, today, ahead, until)
    .join('place as p', 'p.id', 'c.place_id')
    .orderBy([...(ahead ? ['s.opens'] : []), 's.closes', 'p.sort', 'c.code'])
    .limit(most)
    .select(
      's.cohort_id',
      's.key',
      sql.raw('row_number() OVER (ORDER BY ?? , s.closes, p.sort, c.code) AS turn', [
        ahead ? 's.opens' : 's.closes',
      ]),
    );
  const rows = await sql
    .with('chosen', chosen)
    .from('chosen as t')
    .join('course_step as s', (on) => on.on('s.cohort_id', 't.cohort_id').andOn('s.key', 't.key'))
    .join('cohort as c', 'c.id', 't.cohort_id')
    .leftJoin('cohort as h', 'h.id', 'c.host_id')
    .joinRaw(
      `LEFT JOIN LATERAL (
        SELECT r.until, r.reason FROM standing_record r
        WHERE r.cohort_id = c.id AND r.step_key = s.key AND r.kind IN ('put off', 'visit') AND r.until IS NOT NULL
        ORDER BY r.seq DESC LIMIT 1) AS o ON true`,
    )
    .joinRaw(
      `LEFT JOIN LATERAL (
        SELECT r.next_time FROM standing_record r
        WHERE r.cohort_id = c.id AND r.next_time <> ''
        ORDER BY r.on_date DESC, r.seq DESC LIMIT 1) AS n ON true`,
    )
    .orderBy('t.turn')
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxon_id',
      placeId: 'c.place_id',
      method: 'c.method',
      live: 'c.live',
      pending: 'c.pending',
      rings: 'c.rings',
      cohortContainer: 'c.container',
      goalCaliper: 'c.goal_caliper',
      key: 's.key',
      operation: 's.operation',
      title: 's.title',
      lane: 's.lane',
      opens: 's.opens',
      closes: 's.closes',
      container: 's.container',
      rootCut: 's.root_cut',
      topCut: 's.top_cut',
      materials: 's.materials',
      span: 's.span',
      minutes: 's.minutes',
      reasons: 's.reasons',
      chain: 's.chain',
      odds: 's.odds',
      moved: 's.moved',
      until: 'o.until',
      reason: 'o.reason',
      nextTime: 'n.next_time',
      host: 'h.code',
      guests: sql.raw(
        `coalesce((SELECT json_agg(json_build_object('code', g.code, 'live', g.live) ORDER BY g.code)
          FROM cohort g WHERE g.host_id = c.id AND g.growing), '[]'::json)`,
      ),
    });
  return rows.map(({ until: day, reason, ...s }) => ({
    ...s,
    nextTime: s.nextTime ?? '',
    putOff: day ? { until: day, reason } : null,
  })) as RoundStep[];
}
