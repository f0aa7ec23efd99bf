import { taxon } from '@gonimos/core/taxa';
import type { FactSource } from '../facts/source.ts';
import { learnedByGroup } from './store.ts';

/** What outcomes have taught of how much a growth group bears. */
export const learnedFacts: FactSource = async (sql) => {
  const learned = await learnedByGroup(sql);
  return (_sql, facts) =>
    Promise.resolve(facts.map((f) => ({ ...f, learned: learned.get(taxon(f.taxonId).group) ?? null })));
};
