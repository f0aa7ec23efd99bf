import { groupBy } from '@gonimos/core/group';
import { layerState } from '@gonimos/core/layers';
import { operation } from '@gonimos/core/operations';
import type { CohortFacts } from '../facts/facts.ts';
import { moreOfOpen, type FactSource } from '../facts/source.ts';
import { eventsOf } from './store.ts';
import { FIND_SAID } from './words.ts';

/** Steps on a layer that wait for its roots. */
const waitingSteps = (f: CohortFacts): string[] =>
  f.programme.steps
    .filter((s) => ['opened', 'severed'].includes(operation(s.operation).layer ?? ''))
    .map((s) => s.key);

/** The course of a layer follows the verdict on it, and a look that did not find it full. */
export const layerFacts: FactSource = () => async (sql, facts) => {
  const events = groupBy(
    await eventsOf(
      sql,
      facts.map((f) => f.id),
    ),
    (e) => e.cohortId,
  );
  return facts.map((f) => {
    const own = events.get(f.id);
    if (!own) return f;
    const state = layerState(own);
    const found = state.lastFind;
    const seen = found && { on: state.lastLookOn!, found: FIND_SAID[found] };
    const fact = found === 'full' ? { ripe: seen! } : { again: seen! };
    const more = seen ? waitingSteps(f).map((key) => ({ key, fact })) : [];
    const layer = { openedOn: state.openedOn, severedOn: state.severedOn };
    return { ...moreOfOpen(f, more), layer };
  });
};
