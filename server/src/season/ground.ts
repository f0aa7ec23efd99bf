import type { Sql } from '../db/index.ts';
import type { Ground } from '../facts/source.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { seasonBooks } from './books.ts';

/** The day it is at the nursery, the books of its places, and its schools. */
export async function readGround(sql: Sql): Promise<Ground> {
  const nursery = await readNursery(sql);
  return { today: todayAt(nursery), books: await seasonBooks(sql), schools: nursery.schools };
}
