import type { Sql } from '../db/index.ts';
import type { CohortFacts } from '../facts/facts.ts';
import type { FactSource, Planning } from '../facts/source.ts';
import { keepOwnHeld } from '../own/store.ts';
import { readGround } from '../season/ground.ts';

/** Opens what courses are planned from, as these sources tell it. */
export const planningFrom =
  (sources: readonly FactSource[]) =>
  async (sql: Sql): Promise<Planning> => {
    await keepOwnHeld(sql);
    const ground = await readGround(sql);
    const adds = [];
    for (const source of sources) adds.push(await source(sql, ground));
    return { ...ground, adds };
  };

/** Adds to each cohort what the nursery and its subjects know of it. */
export async function completeFacts(sql: Sql, facts: CohortFacts[], p: Planning): Promise<CohortFacts[]> {
  let all = facts.map((f) => ({ ...f, schools: { ...f.schools, nursery: p.schools } }));
  for (const add of p.adds) all = await add(sql, all);
  return all;
}
