import type { Context, Demand, StepInHand } from '../types.ts';

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
