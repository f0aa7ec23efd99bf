import type { NurserySchools } from '@gonimos/contract/schools';
import type { Choices } from '@gonimos/core/schools';
import { audit } from '../audit/store.ts';
import { conflict } from '../http/problem.ts';
import { readNursery } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { touching } from '../write/write.ts';

/** Changes the schools of the nursery. */
export async function chooseSchools(
  { trx, personId }: Writing,
  chosen: NurserySchools,
): Promise<Written<{ schools: Choices; version: number }>> {
  const changed = await trx('nursery')
    .where({ version: chosen.version })
    .update({ schools: JSON.stringify(chosen.schools), version: chosen.version + 1 });
  if (changed === 0) throw conflict('The nursery was changed meanwhile.', await readNursery(trx));
  const words = Object.entries(chosen.schools).map(([question, option]) => `${question} ${option}`);
  await audit(trx, personId, 'schools', `Schools of the nursery: ${words.join(', ') || 'none chosen'}`);
  const { schools, version } = await readNursery(trx);
  return touching('all', 'the schools of the nursery were changed', { schools, version });
}
