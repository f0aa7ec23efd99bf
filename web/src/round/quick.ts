import { workOn, type NewRecord } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { operation } from '@gonimos/core/operations';

/** Work whose counts have to be told one cohort at a time is recorded in its sheet. */
export const isUsual = (s: RoundStep): boolean =>
  !operation(s.operation).asks.some((a) => a === 'emergence' || a === 'rooted' || a === 'alive');

/** The usual result: all plants done today, nothing lost, into the container that was planned. */
export function usualResult(s: RoundStep, today: string): NewRecord {
  const pots = operation(s.operation).asks.includes('container') && s.container !== null;
  const details = pots ? { potting: { container: s.container! } } : {};
  return workOn({ id: '', cohortId: s.cohortId, stepKey: s.key, on: today, details });
}
