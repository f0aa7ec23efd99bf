import { toIso, type Day } from '../../calendar/index.ts';
import type { Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Weather can be told so many days ahead; beyond them the seasons rule. */
export const OUTLOOK_DAYS = 10;
const NIGHTS_AFTER = 3;

/** Coldest night, one year in ten, of the nights that follow work done on a day. */
function coldestAfter(ctx: Context, day: Day): number {
  let low = Infinity;
  for (let d = day; d < day + NIGHTS_AFTER; d++) low = Math.min(low, ctx.book.outlook(d).low.p10);
  return low;
}

/** Weather guard: fresh-cut roots are kept from frost on the nights that follow. */
export function weatherGuard(ctx: Context, { op }: StepInHand, plant: Plant): Demand | null {
  const { guard } = op;
  const day = plant.day;
  if (!guard || day > ctx.today + OUTLOOK_DAYS) return null;
  const low = coldestAfter(ctx, day);
  if (low >= guard.value) return null;
  let free = day + 1;
  while (free <= ctx.today + OUTLOOK_DAYS && coldestAfter(ctx, free) < guard.value) free++;
  const round = (x: number) => Math.round(x * 10) / 10;
  return {
    rule: 'weather guard',
    notBefore: free,
    text: `Nights down to ${round(low)} °C may follow (one in ten), fresh roots bear ${guard.value} °C; wait until {${toIso(free)}}`,
    figures: [
      { label: 'coldest of three nights, one in ten', value: round(low), unit: '°C', basis: 'computed' },
      { label: 'borne after this work', value: guard.value, unit: guard.unit, basis: guard.basis },
    ],
  };
}

export const weatherGuardWords: RuleWords = {
  name: 'weather guard',
  words: 'Weather guard',
  wouldChange: 'A milder forecast; it is looked at again every day.',
};
export const weatherGuardRule: RuleOf<'on the day'> = {
  ...weatherGuardWords,
  when: 'on the day',
  ask: weatherGuard,
};
