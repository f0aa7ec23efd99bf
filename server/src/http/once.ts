import { createHash } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { meet, type Db, type Trx } from '../db/index.ts';
import { conflict, notWritten, NotKnown } from './problem.ts';

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

/**
 * Runs a write in one transaction, once for each client-made id: the same request sent again gets the
 * first answer and changes nothing; another request under the same id is refused.
 */
export async function once<T>(
  db: Db,
  id: string,
  route: string,
  body: unknown,
  write: (trx: Trx) => Promise<T>,
): Promise<T> {
  const hash = createHash('sha256').update(JSON.stringify(body)).digest('hex');
  return inTransaction(db, async (trx) => {
    // a second sender waits here until the first has committed or failed
    const mine = await trx('write_receipt')
      .insert({ id, route, body_hash: hash })
      .onConflict('id')
      .ignore()
      .returning('id');
    if (mine.length === 0) {
      const first = (await trx('write_receipt').where({ id }).first()) as {
        route: string;
        body_hash: string;
        reply: { value: T };
      };
      if (first.route !== route || first.body_hash !== hash)
        throw conflict('This id was used before for something else.');
      return first.reply.value;
    }
    const value = await write(trx);
    await trx('write_receipt')
      .where({ id })
      .update({ reply: JSON.stringify({ value }) });
    return value;
  });
}
