import { createHash } from 'node:crypto';
import type { Db, Trx } from '../db/index.ts';
import { conflict } from './problem.ts';

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
  return db.transaction(async (trx) => {
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
