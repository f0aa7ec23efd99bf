import type { Cohort } from '@gonimos/contract/cohorts';
import type { RootBench } from '@gonimos/contract/root-records';
import { container, hasContainer } from '@gonimos/core/containers';
import { roomIn, type RootRecord, type Terms } from '@gonimos/core/roots';
import { FREE_RING, taxon } from '@gonimos/core/taxa';
import { overrules, type Decided } from './drawing';

/** What a plan of cuts is made under: the school, the kind's growth, the pot and where the trunk stands in it. */
export function termsOf(cohort: Cohort, bench: RootBench, record: RootRecord, decided: Decided): Terms {
  const kind = taxon(cohort.taxonId);
  const pot = decided.container ?? bench.container;
  const into = pot && hasContainer(pot) ? container(pot) : null;
  const room =
    into && !into.shared && into.wall !== 'ground'
      ? roomIn(into, record.front, decided.aside, decided.behind)
      : null;
  return { school: bench.school, ring: FREE_RING[kind.pace].value, room, overruled: overrules(decided) };
}
