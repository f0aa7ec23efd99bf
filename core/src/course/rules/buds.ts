import { toDay, toIso } from '../../calendar/index.ts';
import type { Plant } from '../../plant/index.ts';
import { cp } from '../../params/index.ts';
import { normalQuantile, normalShare } from '../../stats/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import { conditionRule } from './condition.ts';
import type { RuleOf } from './rule.ts';

/** Plants of a cohort are ready over so many days either way (one standard deviation). */
export const BUD_SPREAD = cp(6, 'days');
/** A tally speaks for the season it was taken in, not for the next. */
const SPEAKS_FOR = 60;

/** Days from a tally until half the cohort is ready; negative when more than half is. */
export function daysToHalf(looked: number, ready: number): number {
  const share = Math.min(0.98, Math.max(0.02, ready / looked));
  return Math.round(-normalQuantile(share) * BUD_SPREAD.value);
}

/** Share of a cohort that is ready so many days after a tally, 0..1. */
export function readyShare(looked: number, ready: number, days: number): number {
  return normalShare((days - daysToHalf(looked, ready)) / BUD_SPREAD.value);
}

/** Condition: work that waits for the buds waits until a tally says that half the cohort is ready. */
export function buds(ctx: Context, { op }: StepInHand, plant: Plant): Demand | null {
  const tally = ctx.facts.buds;
  if (!op.budsDecide || !tally || tally.looked === 0) return null;
  const on = toDay(tally.on);
  const wait = daysToHalf(tally.looked, tally.ready);
  if (wait <= 0 || plant.day - on > SPEAKS_FOR) return null;
  return {
    rule: 'condition',
    notBefore: on + wait,
    text: `${tally.ready} of ${tally.looked} had their buds ready on {${tally.on}}; half the cohort is ready about {${toIso(on + wait)}}`,
    figures: [
      {
        label: 'ready',
        value: Math.round((100 * tally.ready) / tally.looked),
        unit: '%',
        basis: 'your data',
      },
      { label: 'spread within a cohort', ...BUD_SPREAD },
    ],
  };
}

/** The tally of buds is a condition of its own kind: the same words, asked of the buds. */
export const budsRule: RuleOf<'on the day'> = { ...conditionRule, ask: buds };
