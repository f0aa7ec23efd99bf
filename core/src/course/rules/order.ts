import { plural } from '../../words/index.ts';
import { toDay, toIso } from '../../calendar/index.ts';
import { afterSeasons } from '../../plant/index.ts';
import { LAYER, layerWarmth } from '../../layers/index.ts';
import type { After } from '../../programmes/index.ts';
import type { Context, Demand, Figure, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Warmth that must pass after a step: as written, or what a layer of the kind wants to fill again. */
function warmthAfter(ctx: Context, a: After): { sum: number; base: number } | null {
  if (a.warmth !== 'layer again') return a.warmth ?? null;
  return { sum: layerWarmth(ctx.taxon.layering).second.value, base: LAYER.base.value };
}

function lagFigure(ctx: Context, a: After): Figure[] {
  const warm = warmthAfter(ctx, a);
  if (warm)
    return [
      {
        label: 'warmth between',
        value: warm.sum,
        unit: `°C·d above ${warm.base} °C`,
        basis: ctx.practice,
      },
    ];
  const value = a.seasons ?? a.days ?? 0;
  const unit = a.seasons ? 'growing seasons' : 'days';
  return value ? [{ label: 'lag', value, unit, basis: ctx.practice }] : [];
}

const lagWords = (ctx: Context, a: After) => {
  const warm = warmthAfter(ctx, a);
  if (warm) return `${warm.sum} degree days above ${warm.base} °C after`;
  if (a.seasons) return `${plural(a.seasons, 'growing season')} after`;
  return a.days ? `${a.days} days after` : 'After';
};

/** Order and lag: what must be done first, and how long it must have stood. */
export function order(ctx: Context, { step, fact }: StepInHand): Demand[] {
  const demands: Demand[] = [];
  for (const a of step.after) {
    const before = ctx.dates.get(a.step);
    if (!before) continue;
    if (before.day === null) {
      if (!a.optional)
        demands.push({
          rule: 'order',
          notBefore: 'never',
          code: 'follows-refused',
          text: `Waits for ‘${before.title}’, which has no date${before.why ? `: ${before.why}` : ''}`,
          figures: [],
        });
      continue;
    }
    // what was seen to be ready waits for no more warmth
    const warmth = fact.ripe ? null : warmthAfter(ctx, a);
    const warm = warmth ? ctx.book.warmthBy(before.day, warmth.sum, warmth.base) : null;
    const lagged = Math.max(before.day + (a.days ?? 0), warm ?? 0);
    const notBefore = a.seasons ? afterSeasons(ctx.seasons, lagged, a.seasons) : lagged;
    const state = `${before.done ? 'done' : 'planned for'} {${toIso(before.day)}}`;
    // what must be seen, not only done: rooted, dry, clean
    if (a.needs && !before.done)
      demands.push({
        rule: 'establishment',
        notBefore,
        since: { key: a.step, day: before.day },
        text: `Waits until ‘${before.title}’ is recorded ${a.needs}; ${state}`,
        figures: lagFigure(ctx, a),
      });
    else
      demands.push({
        rule: 'order',
        notBefore,
        since: { key: a.step, day: before.day },
        text: `${lagWords(ctx, a)} ‘${before.title}’, ${state}`,
        figures: lagFigure(ctx, a),
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

export const orderWords: RuleWords = {
  name: 'order',
  words: 'Order and lag',
  wouldChange: 'Doing the step before it sooner or later moves it day for day.',
};
export const orderRule: RuleOf<'before'> = { ...orderWords, when: 'before', ask: order };
