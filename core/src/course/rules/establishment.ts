import { toDay, toIso } from '../../calendar/index.ts';
import { afterSeasons } from '../growing.ts';
import type { Tree } from '../tree.ts';
import type { Context, Demand, StepInHand } from '../types.ts';

/** Establishment: roots must have taken hold again before the next severe step, or have been seen firm. */
export function establishment(ctx: Context, { op }: StepInHand, tree: Tree): Demand | null {
  const disturbed = tree.lastRoots;
  if (!op.established || !disturbed) return null;
  const { firmOn } = ctx.facts;
  if (firmOn && toDay(firmOn) > disturbed.day) return null;
  const { value, unit, basis } = op.established;
  return {
    rule: 'establishment',
    notBefore: afterSeasons(ctx, disturbed.day, value),
    text: `Roots were disturbed at ‘${disturbed.title}’ {${toIso(disturbed.day)}}: firm again after ${value} of a growing season, or once seen firm`,
    figures: [{ label: 'standing undisturbed', value, unit, basis }],
  };
}
