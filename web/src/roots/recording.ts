import type { Cohort } from '@gonimos/contract/cohorts';
import type { RootBench } from '@gonimos/contract/root-records';
import { operation } from '@gonimos/core/operations';
import { holdsOf, remediesFor, type RootPlan, type RootRecord } from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';
import type { Put, Recordable } from '../records/asks';
import type { Sheet } from './drawing';
import { leftAtExposure } from './exposure';

/** Work that was decided at the bench. */
export interface Working {
  stepKey: string;
  told: NonNullable<Recordable['roots']>;
  /** what stays on the roots */
  puts: readonly Put[];
}

/** Help for bare sides that is given at this sitting. */
const helpGiven = (cohort: Cohort, record: RootRecord, plan: RootPlan, words: readonly string[]) =>
  remediesFor(plan.measures.after, taxon(cohort.taxonId).group, record.trunk).filter((r) =>
    words.includes(r.words),
  );

/** The work that the course has next, filled by the plan of cuts or by what is uncovered; null where neither is there. */
export function workOf(
  cohort: Cohort,
  bench: RootBench,
  { record, decided }: Sheet,
  drawnId: string,
  plan: RootPlan | null,
): Working | null {
  const { step } = bench;
  if (!step) return null;
  if (operation(step.operation).uncovers)
    return {
      stepKey: step.key,
      told: { drawnId, took: null, left: leftAtExposure(record, bench) },
      puts: [],
    };
  if (!plan) return null;
  const help = helpGiven(cohort, record, plan, decided.remedies);
  return {
    stepKey: step.key,
    told: {
      drawnId,
      took: plan.share,
      left: [...plan.deferred.map((d) => d.note), ...decided.remedies.map((r) => `Look: ${r}`)],
    },
    puts: holdsOf(record, plan, help).map((h) => ({ ...h, due: bench.heldUntil, stretch: null })),
  };
}
