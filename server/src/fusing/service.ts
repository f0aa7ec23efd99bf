import type { LookAtJoint, PlantGroups } from '@gonimos/contract/fusing';
import { wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import { readGroups, writeLook } from './store.ts';

/** What was seen of a joint. */
export async function lookAt(w: Writing, l: LookAtJoint): Promise<Written<PlantGroups>> {
  const today = todayAt(await readNursery(w.trx));
  if (l.again && l.again <= today) throw wrongField('again', `is not after today, ${today}`);
  const cohortId = await writeLook(w.trx, l, today);
  return { ...answering(await readGroups(w.trx, cohortId)) };
}
