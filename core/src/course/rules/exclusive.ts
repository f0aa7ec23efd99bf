import { toIso } from '../../calendar/index.ts';
import type { Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Exclusive work: some work stays away from other work on the same plants. */
export function exclusive(ctx: Context, { op, step }: StepInHand, plant: Plant): Demand | null {
  if (!op.apart) return null;
  const { from, days } = op.apart;
  let latest: { day: number; title: string } | null = null;
  for (const [key, d] of ctx.dates) {
    if (key === step.key || d.day === null || !from.includes(d.work)) continue;
    if (d.day <= plant.day && (!latest || d.day > latest.day)) latest = { day: d.day, title: d.title };
  }
  if (!latest) return null;
  return {
    rule: 'exclusive work',
    notBefore: latest.day + days.value,
    text: `Kept ${days.value} days away from ‘${latest.title}’ of {${toIso(latest.day)}}`,
    figures: [{ label: 'apart', value: days.value, unit: days.unit, basis: days.basis }],
  };
}

export const exclusiveWords: RuleWords = {
  name: 'exclusive work',
  words: 'Work kept apart',
  wouldChange: 'Moving the other work.',
};
export const exclusiveRule: RuleOf<'on the day'> = { ...exclusiveWords, when: 'on the day', ask: exclusive };
