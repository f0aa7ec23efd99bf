import { randomUUID } from 'node:crypto';
import type { CarryIn, CarryOut } from '@gonimos/contract/shelter';
import { conflict, wrongField } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { insertLines, type NewLine } from '../records/store.ts';
import { lockCohorts } from '../write/lock.ts';
import { answering } from '../write/write.ts';
import type { Writing, Written } from '../write/types.ts';
import { readSheltered } from './store.ts';

/** The record of the first cohort; taking it back takes back the others. */
export interface Carried {
  recordId: string;
}

/** One look for each cohort, all taken back with the first. */
async function carried(
  w: Writing,
  ids: readonly string[],
  on: string,
  shelter: NonNullable<NewLine['details']>['shelter'],
) {
  const first = randomUUID();
  await insertLines(
    w.trx,
    ids.map((cohortId, i) => ({
      id: i === 0 ? first : randomUUID(),
      follows: i === 0 ? null : first,
      cohortId,
      kind: 'look' as const,
      stepKey: null,
      on,
      personId: w.personId,
      note: shelter?.inside ? 'Carried in before the cold.' : 'Carried out again.',
      details: { shelter },
    })),
  );
  return answering<Carried>({ recordId: first });
}

/** Plants are carried in for some nights; where they belong stays as it was. */
export async function carryPlantsIn(w: Writing, c: CarryIn): Promise<Written<Carried>> {
  const ids = [...new Set(c.cohortIds)];
  await lockCohorts(w.trx, ids);
  const today = todayAt(await readNursery(w.trx));
  if (c.until <= today) throw wrongField('until', `is not after today, ${today}`);
  return carried(w, ids, today, { inside: true, until: c.until });
}

export async function carryPlantsOut(w: Writing, c: CarryOut): Promise<Written<Carried>> {
  const ids = [...new Set(c.cohortIds)];
  await lockCohorts(w.trx, ids);
  const inside = new Set((await readSheltered(w.trx)).map((s) => s.cohortId));
  if (!ids.every((id) => inside.has(id)))
    throw conflict('One of them was carried out meanwhile. Look at the list again.');
  return carried(w, ids, todayAt(await readNursery(w.trx)), { inside: false, until: null });
}
