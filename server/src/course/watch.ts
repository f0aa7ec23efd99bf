import { toDay, toIso } from '@gonimos/core/calendar';
import { operationsThat } from '@gonimos/core/operations';
import type { SeasonBook } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import type { Watch } from '../watch/watch.ts';
import { seasonBooks } from '../season/books.ts';

/** Days for which roots that were cut are kept from frost. */
const GUARD_DAYS = 35;

interface Done {
  cohortId: string;
  code: string;
  placeId: string;
  doneOn: string;
}

const done = (sql: Sql, operations: readonly string[]) =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'done', 'c.growing': true })
    .whereIn('s.operation', operations)
    .select({ cohortId: 'c.id', code: 'c.code', placeId: 'c.placeId', doneOn: 's.doneOn' });

/** Last day on which frost still has to be reckoned with this spring, one year in ten; null when past. */
function frostUntil(book: SeasonBook, today: string): string | null {
  const last = book.season(book.seasonOf(toDay(today)))['last-frost'];
  return last.kind === 'days' && toIso(last.p90) >= today ? toIso(last.p90) : null;
}

/** Roots that were cut lately, while frost can come. */
export const cutRootsWatch: Watch = async (sql, today) => {
  const cut: Done[] = await done(
    sql,
    operationsThat((o) => o.loosens === true),
  ).whereRaw('s.done_on > ?::date - ?::int', [today, GUARD_DAYS]);
  if (cut.length === 0) return [];
  const books = await seasonBooks(sql);
  return cut.flatMap((c) => {
    const until = frostUntil(books.get(c.placeId)!, today);
    const text = `${c.code}: roots cut {${c.doneOn}}, keep frost off until`;
    return until ? [{ text, when: until, cohortId: c.cohortId }] : [];
  });
};
