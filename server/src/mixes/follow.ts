import { batchOf, OLD_MIX } from '@gonimos/core/mixes';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { joinHeld } from '../visits/held.ts';
import type { Follower } from '../write/types.ts';
import { takeFromBatch } from './batches.ts';
import { readMixes } from './store.ts';

/** Whether plants are held apart for what was found on them. */
const isHeld = async (sql: Sql, cohortId: string): Promise<boolean> =>
  (await joinHeld(sql('cohort as c').where({ 'c.id': cohortId }).whereNotNull('held.cohort_id')).first(
    'c.id',
  )) !== undefined;

/**
 * Mix that work took leaves its batch, or the bins by its components; old mix that was put by goes into its bin. Both
 * are as before when the work is taken back.
 */
export const mixFollower: Follower = {
  check: async ({ trx }, { record }) => {
    const { mix } = record.details;
    if (!mix) return;
    if (!(await readMixes(trx)).some((m) => m.id === mix.mix))
      throw wrongField('details.mix.mix', 'is no mix of this nursery');
    if (mix.back > 0 && (await isHeld(trx, record.cohortId)))
      throw wrongField('details.mix.back', 'comes from plants that are held apart: it is not used again');
  },
  keeps: ({ record: { details } }) => (details.mix ? { mix: details.mix } : {}),
  after: async ({ trx }, { record }) => {
    const { mix } = record.details;
    if (!mix) return;
    const used = new Map<string, number>();
    if (mix.batch) {
      const taken = { recordId: record.id, batchId: mix.batch, mix: mix.mix, litres: mix.litres };
      await takeFromBatch(trx, taken);
    } else {
      const recipe = (await readMixes(trx)).find((m) => m.id === mix.mix)!;
      for (const p of batchOf(recipe, mix.litres)) used.set(p.component.id, p.bought);
    }
    if (mix.back > 0) used.set(OLD_MIX, (used.get(OLD_MIX) ?? 0) - mix.back);
    const rows = [...used].filter(([, litres]) => litres !== 0);
    if (rows.length > 0)
      await trx('mix_use').insert(
        rows.map(([component, litres]) => ({ recordId: record.id, component, litres })),
      );
  },
};
