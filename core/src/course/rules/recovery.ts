import { plural } from '../../words/index.ts';
import { toIso } from '../../calendar/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { LastWork, RuleOf, RuleWords } from './rule.ts';

/** Recovery since the last work of the same lane that took something. */
export function recovery(
  ctx: Context,
  hand: StepInHand,
  _plant: Plant,
  last: ReadonlyMap<string, LastWork>,
): Demand | null {
  // light work that needs no rest of its own may follow at any time
  if (hand.op.recovery.value === 0) return null;
  const work = last.get(hand.op.lane);
  if (!work || work.seasons === 0) return null;
  return {
    rule: 'recovery',
    notBefore: afterSeasons(ctx.seasons, work.day, work.seasons * 0.9),
    text: `Recovering from ‘${work.title}’ of {${toIso(work.day)}}: ${plural(work.seasons, 'growing season')}`,
    figures: [
      {
        label: 'recovery',
        value: work.seasons,
        unit: 'growing seasons',
        basis: 'common practice',
      },
    ],
  };
}

export const recoveryWords: RuleWords = {
  name: 'recovery',
  words: 'Recovery',
  wouldChange: 'Nothing but time; a lighter cut last time would have freed it sooner.',
};
export const recoveryRule: RuleOf<'on the day'> = { ...recoveryWords, when: 'on the day', ask: recovery };
