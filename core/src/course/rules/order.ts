import { toDay, toIso } from '../../calendar/index.ts';
import { afterSeasons } from '../growing.ts';
import type { Context, Demand, StepInHand } from '../types.ts';

/** Order and lag: what must be done first, and how long it must have stood. */
export function order(ctx: Context, { step }: StepInHand): Demand[] {
  const demands: Demand[] = [
    {
      rule: 'order',
      notBefore: toDay(ctx.facts.startedOn),
      text: `The cohort was started {${ctx.facts.startedOn}}`,
      figures: [],
    },
  ];
  for (const a of step.after) {
    const before = ctx.dates.get(a.step);
    if (!before) continue;
    if (before.day === null) {
      demands.push({
        rule: 'order',
        notBefore: 'never',
        text: `Waits for ‘${before.title}’, which has no date`,
        figures: [],
      });
      continue;
    }
    const lagged = before.day + (a.days ?? 0);
    const notBefore = a.seasons ? afterSeasons(ctx, lagged, a.seasons) : lagged;
    const lag = a.seasons
      ? `${a.seasons} growing season${a.seasons === 1 ? '' : 's'} after`
      : a.days
        ? `${a.days} days after`
        : 'After';
    demands.push({
      rule: 'order',
      notBefore,
      text: `${lag} ‘${before.title}’, ${before.done ? 'done' : 'planned for'} {${toIso(before.day)}}`,
      figures:
        a.seasons || a.days
          ? [
              {
                label: 'lag',
                value: a.seasons ?? a.days ?? 0,
                unit: a.seasons ? 'growing seasons' : 'days',
                basis: 'common practice',
              },
            ]
          : [],
    });
  }
  return demands;
}
