import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from './store.ts';

/** What is recorded has happened: a date after today is refused. */
export async function notInFuture(sql: Sql, field: string, day: string): Promise<void> {
  const today = todayAt(await readNursery(sql));
  if (day > today) throw wrongField(field, `is after today, ${today}`);
}
