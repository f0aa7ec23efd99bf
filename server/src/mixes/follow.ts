import { batchOf } from '@gonimos/core/mixes';
import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';
import { readMixes } from './store.ts';

/** Mix that work took leaves the bins by its components, and comes back when the work is taken back. */
export const mixFollower: Follower = {
  check: async ({ trx }, { record }) => {
    const { mix } = record.details;
    if (mix && !(await readMixes(trx)).some((m) => m.id === mix.mix))
      throw wrongField('details.mix.mix', 'is no mix of this nursery');
  },
  keeps: ({ record: { details } }) => (details.mix ? { mix: details.mix } : {}),
  after: async ({ trx }, { record }) => {
    const { mix } = record.details;
    if (!mix) return;
    const { parts } = (await readMixes(trx)).find((m) => m.id === mix.mix)!;
    await trx('mix_use').insert(
      batchOf(parts, mix.litres).map((p) => ({
        recordId: record.id,
        component: p.component.id,
        litres: p.bought,
      })),
    );
  },
};
