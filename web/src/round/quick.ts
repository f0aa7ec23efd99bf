import { workOn, type NewRecord } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { toldByClock } from '../common/bench-clock';
import { mustBeTold, operation } from '@gonimos/core/operations';

/** A step of the round as the recording sheet takes it. */
export const recordable = (s: RoundStep) => ({ ...s, stepKey: s.key });

/** Whether a step has a usual result; others are recorded in their sheet. */
export function isUsual(s: RoundStep): boolean {
  const op = operation(s.operation);
  return !mustBeTold(op) && !op.asks.includes('alive');
}

/** The usual result: all plants done today, nothing lost, into the container that was planned. */
export function usualResult(s: RoundStep, today: string): NewRecord {
  const pots = operation(s.operation).asks.includes('container') && s.container !== null;
  const details = pots ? { potting: { container: s.container! } } : {};
  const clock = toldByClock({ cohortId: s.cohortId, stepKey: s.key });
  const pace = clock?.bare ? { pace: { bare: clock.bare } } : {};
  return workOn({
    id: '',
    cohortId: s.cohortId,
    stepKey: s.key,
    on: today,
    minutes: clock?.minutes ?? null,
    details: { ...details, ...pace },
  });
}
