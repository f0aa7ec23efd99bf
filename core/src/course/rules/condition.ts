import { toIso, type Day } from '../../calendar/index.ts';
import { afterSeasons } from '../growing.ts';
import type { Tree } from '../tree.ts';
import type { Context, Demand, StepInHand } from '../types.ts';

const WAIT_SEASONS = 15;

/** Condition: the caliper or height the step asks for, on the day looked at. */
export function condition(ctx: Context, { step }: StepInHand, tree: Tree): Demand | null {
  for (const c of step.conditions ?? []) {
    const now = tree[c.measure];
    if (now >= c.atLeast) continue;
    const figures: Demand['figures'] = [
      { label: `${c.measure} wanted`, value: c.atLeast, unit: 'mm', basis: 'common practice' },
      {
        label: `${c.measure} expected then`,
        value: Math.round(now * 10) / 10,
        unit: 'mm',
        basis: 'computed',
      },
    ];
    const probe = tree.clone();
    let reached: Day | 'never' = 'never';
    for (let s = 0; s < WAIT_SEASONS * 4 && reached === 'never'; s++) {
      probe.advance(afterSeasons(ctx, probe.day, 0.25) + 1);
      if (probe[c.measure] >= c.atLeast) reached = probe.day;
    }
    return {
      rule: 'condition',
      notBefore: reached,
      text:
        reached === 'never'
          ? `Wants ${c.measure} ${c.atLeast} mm; at this growth it never gets there in this container`
          : `Wants ${c.measure} ${c.atLeast} mm; expected by {${toIso(reached)}}`,
      figures,
    };
  }
  return null;
}
