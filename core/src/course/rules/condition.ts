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
    const what = c.measure === 'fill' ? 'roots filling the container' : c.measure;
    const [factor, unit] = c.measure === 'fill' ? [100, '%'] : [1, 'mm'];
    const amount = `${Math.round(c.atLeast * factor)} ${unit}`;
    const figures: Demand['figures'] = [
      { label: `${what} wanted`, value: c.atLeast * factor, unit, basis: 'common practice' },
      {
        label: `${what} expected then`,
        value: Math.round(now * factor * 10) / 10,
        unit,
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
          ? `Wants ${what} ${amount}; at this growth it never gets there in this container`
          : `Wants ${what} ${amount}; expected by {${toIso(reached)}}`,
      figures,
    };
  }
  return null;
}
