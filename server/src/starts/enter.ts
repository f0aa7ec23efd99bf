import type { NewGoal } from '@gonimos/contract/starts';
import { stagesOf } from '@gonimos/core/starts';
import { wrongField } from '../http/problem.ts';
import { programmeFor } from '../library/store.ts';
import { readPlace } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import { insertGoal } from './goals.ts';

/** Keeps a goal, so that starts are offered until it is met. */
export async function enterGoal({ trx, personId }: Writing, goal: NewGoal): Promise<Written<{ id: string }>> {
  await readPlace(trx, goal.placeId);
  const { programme } = await programmeFor(trx, goal.programmeId);
  if (!stagesOf(programme).some((s) => s.stage === goal.stage))
    throw wrongField('stage', 'is not one of this programme');
  await insertGoal(trx, goal, personId);
  return answering({ id: goal.id });
}
