import type { CountStock, StockRow } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { readStock, wantersOf, writeCount } from './store.ts';

/** Counts one kind of container; steps that want it are planned again. */
export async function countShelf({ trx }: Writing, c: CountStock): Promise<Written<StockRow[]>> {
  const today = todayAt(await readNursery(trx));
  await writeCount(trx, c, today);
  return {
    touched: await wantersOf(trx, [c.container], today),
    cause: `${container(c.container).name}: counted on the shelf`,
    answer: () => readStock(trx, today),
  };
}
