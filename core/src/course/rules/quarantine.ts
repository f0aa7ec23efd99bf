import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Quarantine: plants held apart are not brought among others until they are released. */
export function quarantine(ctx: Context, { op, step }: StepInHand): Demand[] {
  const held = ctx.facts.quarantine;
  if (!held || !(op.moves || step.container)) return [];
  return [
    {
      rule: 'quarantine',
      notBefore: 'never',
      code: 'held-apart',
      text: `Held apart since {${held.since}} (${held.found}): no move until the cohort is released`,
      figures: [{ label: 'held since', value: held.since, unit: '', basis: 'your data' }],
    },
  ];
}

export const quarantineWords: RuleWords = {
  name: 'quarantine',
  words: 'Quarantine, or found on opening',
  wouldChange: 'Releasing the cohort, or another look.',
};
export const quarantineRule: RuleOf<'before'> = { ...quarantineWords, when: 'before', ask: quarantine };
