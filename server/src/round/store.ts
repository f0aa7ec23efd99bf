import type { Knex } from 'knex';
import type { MissedStep, RoundStep } from '@gonimos/contract/round';
import { aboutPart, doneInParts } from '../course/store.ts';
import { operationsThat, RISKS } from '@gonimos/core/operations';
import type { Sql } from '../db/index.ts';
import { heldColumn, joinHeld } from '../visits/held.ts';

/** What the round shows of a step and its cohort. */
const SHOWN = {
  cohortId: 'c.id',
  code: 'c.code',
  taxonId: 'c.taxonId',
  placeId: 'c.placeId',
  method: 'c.method',
  live: 'c.live',
  pending: 'c.pending',
  rings: 'c.rings',
  cohortContainer: 'c.container',
  goalCaliper: 'c.goalCaliper',
  key: 's.key',
  operation: 's.operation',
  title: 's.title',
  lane: 's.lane',
  opens: 's.opens',
  closes: 's.closes',
  container: 's.container',
  rootCut: 's.rootCut',
  topCut: 's.topCut',
  materials: 's.materials',
  span: 's.span',
  minutes: 's.minutes',
  reasons: 's.reasons',
  chain: 's.chain',
  odds: 's.odds',
  moved: 's.moved',
  until: 'o.until',
  reason: 'o.reason',
  nextTime: 'n.nextTime',
  host: 'h.code',
};

const openSteps = (sql: Sql, today: string, ahead: boolean, until: string) =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 's.ready': true, 'c.growing': true })
    // what was missed stands in a list of its own
    .whereNull('s.missed')
    .where('s.opens', '<=', until)
    .where('s.opens', ahead ? '>' : '<=', today);

/** An open step beside what was last said of it. */
type Found = Omit<RoundStep, 'putOff' | 'nextTime'> & {
  nextTime: string | null;
  until: string | null;
  reason: string | null;
};

/** How many steps are open, and how many of them close by a day. */
export async function countOpen(sql: Sql, today: string, closingBy: string) {
  const row = await openSteps(sql, today, false, today)
    .select(
      sql.raw('count(*)::int AS open, (count(*) FILTER (WHERE s.closes <= ?))::int AS closing', [closingBy]),
    )
    .first<{ open: number; closing: number }>();
  return row;
}

/** Chosen steps of the plan in their turn, with what was last said of them and of their cohorts. */
async function stepsOf(
  sql: Sql,
  chosen: Knex.QueryBuilder,
  more: Record<string, string> = {},
): Promise<Found[]> {
  const rows: Found[] = await joinHeld(
    sql
      .with('chosen', chosen)
      .from('chosen as t')
      .join('course_step as s', (on) => on.on('s.cohortId', 't.cohortId').andOn('s.key', 't.key'))
      .join('cohort as c', 'c.id', 't.cohortId')
      .leftJoin('cohort as h', 'h.id', 'c.hostId'),
  )
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
    .select({ ...SHOWN, ...more })
    .select(heldColumn(sql))
    .select({
      part: doneInParts(sql),
      about: aboutPart(sql),
      guests: sql.raw(
        `coalesce((SELECT json_agg(json_build_object('code', g.code, 'live', g.live) ORDER BY g.code)
          FROM cohort g WHERE g.host_id = c.id AND g.growing), '[]'::json)`,
      ),
    });
  return rows;
}

const shown = ({ until, reason, ...s }: Found): RoundStep => ({
  ...s,
  nextTime: s.nextTime ?? '',
  putOff: until ? { until, reason: reason ?? '' } : null,
});

/** Steps told at once; the others come when these are answered. */
const MOST_MISSED = 200;

/** What harms most first: the place of an operation's risk among all, in the words of the database. */
function byRisk(sql: Sql) {
  const whens = RISKS.map((_, i) => `WHEN s.operation = ANY(?) THEN ${i}`).join(' ');
  const ids = RISKS.map((risk) => operationsThat((o) => o.risk === risk));
  return sql.raw(
    `row_number() OVER (ORDER BY CASE ${whens} ELSE ${RISKS.length} END, s.missed ->> 'closes', c.code) AS turn`,
    ids,
  );
}

const missedIn = (sql: Sql) =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where('c.growing', true)
    .whereIn('s.status', ['planned', 'none'])
    .whereNotNull('s.missed');

/** Steps whose window went by and of which nothing has been said yet: what harms most first, then the oldest. */
export async function readMissedSteps(
  sql: Sql,
  today: string,
): Promise<{ missed: MissedStep[]; missedInAll: number }> {
  const chosen = missedIn(sql).orderBy('turn').limit(MOST_MISSED).select('s.cohortId', 's.key', byRisk(sql));
  const rows = (await stepsOf(sql, chosen, { missed: 's.missed' })) as (Found & Pick<MissedStep, 'missed'>)[];
  const all = await missedIn(sql).count({ n: '*' }).first<{ n: string }>();
  const missed = rows.map(({ missed: window, ...found }): MissedStep => {
    const { opens, closes } = found;
    const later = opens !== null && closes >= today && opens > window.closes;
    const step = shown({ ...found, opens: opens ?? window.opens, closes: closes ?? window.closes });
    return { ...step, missed: window, next: later ? { opens, closes } : null };
  });
  return { missed, missedInAll: Number(all.n) };
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
    .join('place as p', 'p.id', 'c.placeId')
    .orderBy([...(ahead ? ['s.opens'] : []), 's.closes', 'p.sort', 'c.code'])
    .limit(most)
    .select(
      's.cohortId',
      's.key',
      sql.raw('row_number() OVER (ORDER BY ?? , s.closes, p.sort, c.code) AS turn', [
        ahead ? 's.opens' : 's.closes',
      ]),
    );
  return (await stepsOf(sql, chosen)).map(shown);
}
