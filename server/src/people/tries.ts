import type { Db } from '../db/index.ts';
import { Refusal } from '../http/problem.ts';

/** Failed tries at one name within so many minutes, after which it has to wait; whether it is anybody's name or not. */
const MOST = 20;
const MINUTES = 15;

/** Refuses a name that was tried too often of late. */
export async function refuseTooMany(db: Db, name: string): Promise<void> {
  const { rows } = await db.raw<{ rows: { wait: number | null }[] }>(
    `SELECT extract(epoch FROM min(at) + make_interval(mins => ?) - now()) AS wait FROM (
       SELECT at FROM failed_sign_in WHERE name = ? AND at > now() - make_interval(mins => ?)
       ORDER BY at DESC LIMIT ?) t HAVING count(*) >= ?`,
    [MINUTES, name, MINUTES, MOST, MOST],
  );
  const wait = rows[0]?.wait;
  if (wait)
    throw new Refusal(
      'too-many-tries',
      `This name was tried too often; it may be tried again in ${Math.ceil(wait / 60)} minutes.`,
      {},
      Math.ceil(wait),
    );
}

export const noteFailed = (db: Db, name: string): Promise<unknown> => db('failed_sign_in').insert({ name });
export const forgetFailed = (db: Db, name: string): Promise<unknown> =>
  db('failed_sign_in').where({ name }).delete();
