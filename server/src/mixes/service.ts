import type { CountMix, MakeBatch, Mixes, SaveMix, WithdrawBatch } from '@gonimos/contract/mixes';
import { component, hasComponent } from '@gonimos/core/mixes';
import { wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { withdraw, writeBatch } from './batches.ts';
import { readMixes, readShed, writeMix, writeMixCount } from './store.ts';

/** Nothing that is planned hangs on a mix, so no course is planned again. */
async function kept({ trx }: Writing, cause: string): Promise<Written<Mixes>> {
  const today = todayAt(await readNursery(trx));
  return { touched: [], cause, answer: () => readShed(trx, today) };
}

export const mixWrites = {
  /** Keeps a mix of the nursery, or what a drain test of one found. */
  save: async (w: Writing, m: SaveMix): Promise<Written<Mixes>> => {
    await writeMix(w.trx, m);
    return kept(w, `${m.name}: kept`);
  },
  /** Counts one component in the bins. */
  count: async (w: Writing, c: CountMix): Promise<Written<Mixes>> => {
    if (!hasComponent(c.component)) throw wrongField('component', 'is no component of the library');
    await writeMixCount(w.trx, c, todayAt(await readNursery(w.trx)));
    return kept(w, `${component(c.component).name}: counted`);
  },
  /** Makes mix ahead. */
  batch: async (w: Writing, b: MakeBatch): Promise<Written<Mixes>> => {
    const today = todayAt(await readNursery(w.trx));
    if (b.on > today) throw wrongField('on', `is after today, ${today}`);
    const mix = (await readMixes(w.trx)).find((m) => m.id === b.mix);
    if (!mix) throw wrongField('mix', 'is no mix of this nursery');
    await writeBatch(w.trx, b, mix, w.personId);
    return kept(w, `${mix.name}: ${Math.round(b.litres)} L made`);
  },
  /** Takes back a batch that was told in error. */
  withdraw: async (w: Writing, b: WithdrawBatch): Promise<Written<Mixes>> =>
    kept(w, `${await withdraw(w.trx, b.batchId)}: a batch taken back`),
};
