import { toDay, toIso } from '../../calendar/index.ts';
import type { After } from '../../programmes/index.ts';
import { afterSeasons } from '../growing.ts';
import type { Context, Demand, Figure, StepInHand } from '../types.ts';

const lagFigure = (a: After): Figure[] => {
  if (a.warmth)
    return [
      {
        label: 'warmth between',
        value: a.warmth.sum,
        unit: `°C·d above ${a.warmth.base} °C`,
        basis: 'common practice',
      },
    ];
  const value = a.seasons ?? a.days ?? 0;
  const unit = a.seasons ? 'growing seasons' : 'days';
  return value ? [{ label: 'lag', value, unit, basis: 'common practice' }] : [];
};

const lagWords = (a: After) => {
  if (a.warmth) return `${a.warmth.sum} degree days above ${a.warmth.base} °C after`;
  if (a.seasons) return `${a.seasons} growing season${a.seasons === 1 ? '' : 's'} after`;
  return a.days ? `${a.days} days after` : 'After';
};

/** Order and lag: what must be done first, and how long it must have stood. */
export function order(ctx: Context, { step }: StepInHand): Demand[] {
  const demands: Demand[] = [];
  for (const a of step.after) {
    const before = ctx.dates.get(a.step);
    if (!before) continue;
    if (before.day === null) {
      if (!a.optional)
        demands.push({
          rule: 'order',
          notBefore: 'never',
          text: `Waits for ‘${before.title}’, which has no date${before.why ? `: ${before.why}` : ''}`,
          figures: [],
        });
      continue;
    }
    const warm = a.warmth ? ctx.book.warmthBy(before.day, a.warmth.sum, a.warmth.base) : null;
    const lagged = Math.max(before.day + (a.days ?? 0), warm ?? 0);
    const notBefore = a.seasons ? afterSeasons(ctx, lagged, a.seasons) : lagged;
    const state = `${before.done ? 'done' : 'planned for'} {${toIso(before.day)}}`;
    // what must be seen, not only done: rooted, dry, clean
    if (a.needs && !before.done)
      demands.push({
        rule: 'establishment',
        notBefore,
        since: { key: a.step, day: before.day },
        text: `Waits until ‘${before.title}’ is recorded ${a.needs}; ${state}`,
        figures: lagFigure(a),
      });
    else
      demands.push({
        rule: 'order',
        notBefore,
        since: { key: a.step, day: before.day },
        text: `${lagWords(a)} ‘${before.title}’, ${state}`,
        figures: lagFigure(a),
      });
  }
  if (demands.length === 0)
    demands.push({
      rule: 'order',
      notBefore: toDay(ctx.facts.startedOn),
      text: `The cohort was started {${ctx.facts.startedOn}}`,
      figures: [],
    });
  return demands;
}
