import type { Arrival, CountStock, StockRow } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { readStock, wantersOf, writeArrival, writeCount } from './store.ts';

/** Says what came of a delivery; steps that waited for it are planned again. */
export async function takeArrival({ trx }: Writing, a: Arrival): Promise<Written<StockRow[]>> {
  const today = todayAt(await readNursery(trx));
  if (a.rest && a.rest <= today) throw wrongField('rest', `is not after today, ${today}`);
  await writeArrival(trx, a, today);
  return {
    touched: await wantersOf(trx, [a.container], today),
    cause: `${container(a.container).name}: ${a.came} arrived`,
    answer: () => readStock(trx, today),
  };
}

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
