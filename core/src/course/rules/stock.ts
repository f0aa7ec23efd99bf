import { toDay, toIso } from '../../calendar/index.ts';
import { container } from '../../containers/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Days reckoned to get what nobody has ordered yet. Common practice, no source. */
export const LEAD_DAYS = 14;

/** Stock: containers that are not on the shelf, or that another cohort takes first. */
export function stock(ctx: Context, { fact }: StepInHand): Demand[] {
  const { short } = fact;
  if (!short) return [];
  const until = short.until ? toDay(short.until) : ctx.today + LEAD_DAYS;
  const taken = short.takenBy ? `; ${short.takenBy} takes them first` : '';
  const when = short.until
    ? `they arrive {${short.until}}`
    : `with an order today, not before {${toIso(until)}}`;
  return [
    {
      rule: 'stock',
      notBefore: until,
      text: `${short.count} of ${container(short.container).name} short${taken}: ${when}`,
      figures: [
        { label: 'short', value: short.count, unit: 'containers', basis: 'your data' },
        ...(short.until
          ? []
          : [{ label: 'time to order', value: LEAD_DAYS, unit: 'days', basis: 'common practice' as const }]),
      ],
    },
  ];
}

export const stockWords: RuleWords = {
  name: 'stock',
  words: 'Stock',
  wouldChange: 'A delivery, a fresh count, or another container.',
};
export const stockRule: RuleOf<'before'> = { ...stockWords, when: 'before', ask: stock };
