import { plural } from '../../words/index.ts';
import { toIso } from '../../calendar/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';

/** Recovery since the last work of the same lane that took something. */
export interface LastWork {
  day: number;
  title: string;
  seasons: number;
}

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
