import { setTimeout as wait } from 'node:timers/promises';
import { meet, type Db, type Trx } from '../db/index.ts';
import { notWritten, NotKnown } from '../http/problem.ts';

/** Times a write is begun again when it met another: the transaction was rolled back whole each time. */
const TRIES = 5;

/**
 * Runs a write in one transaction; writes that meet are begun again. When the connection is lost while the
 * transaction is being confirmed, nobody knows whether it was written, and that is what is said.
 */
export async function inTransaction<T>(db: Db, work: (trx: Trx) => Promise<T>): Promise<T> {
  for (let tried = 1; ; tried++) {
    let ended = false;
    try {
      return await db.transaction(async (trx) => {
        const value = await work(trx);
        ended = true;
        return value;
      });
    } catch (error) {
      if (ended) throw new NotKnown(error);
      if (tried >= TRIES || !meet(error)) throw notWritten(error);
      await wait(Math.random() * 40 * 2 ** tried);
    }
  }
}
