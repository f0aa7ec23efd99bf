import { toDay, toIso } from '../../calendar/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Days within which root and top work are one sitting. Common practice, no source. */
const SITTING = 10;

/** Establishment: roots must have taken hold again before the next severe step, or have been seen firm. */
export function establishment(ctx: Context, { op }: StepInHand, plant: Plant): Demand | null {
  const disturbed = plant.lastRoots;
  if (!op.established || !disturbed) return null;
  // done in the same sitting, before the roots have anything to hold on to
  if (op.sameSitting && disturbed.day >= plant.day - SITTING) return null;
  const { firmOn } = ctx.facts;
  if (firmOn && toDay(firmOn) > disturbed.day) return null;
  const { value, unit, basis } = op.established;
  return {
    rule: 'establishment',
    notBefore: afterSeasons(ctx.seasons, disturbed.day, value),
    text: `Roots were disturbed at ‘${disturbed.title}’ {${toIso(disturbed.day)}}: firm again after ${value} of a growing season, or once seen firm`,
    figures: [{ label: 'standing undisturbed', value, unit, basis }],
  };
}

export const establishmentWords: RuleWords = {
  name: 'establishment',
  words: 'Establishment',
  wouldChange: 'A root check that finds them firm, or the record it waits for.',
};
export const establishmentRule: RuleOf<'on the day'> = {
  ...establishmentWords,
  when: 'on the day',
  ask: establishment,
};
