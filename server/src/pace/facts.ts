import { operation } from '@gonimos/core/operations';
import type { FactSource } from '../facts/source.ts';
import { readPaces } from './store.ts';

/** Minutes a plant that the clock has taught, by operation, for the kind of each cohort. */
export const paceFacts: FactSource = async (sql) => {
  const { sittings, paces } = await readPaces(sql);
  const works = [...new Set(sittings.map((s) => s.operation))];
  const byKind = new Map<string, Record<string, number>>();
  const paceOf = (taxonId: string): Record<string, number> => {
    let pace = byKind.get(taxonId);
    if (!pace) {
      const learned = works
        .map((work) => [work, paces.of(work, taxonId).minutes] as const)
        .filter(([work, minutes]) => minutes !== operation(work).minutes.value);
      byKind.set(taxonId, (pace = Object.fromEntries(learned)));
    }
    return pace;
  };
  return (_sql, facts) => Promise.resolve(facts.map((f) => ({ ...f, pace: paceOf(f.taxonId) })));
};
