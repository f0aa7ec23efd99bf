import { toIso, type Day } from '../../calendar/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import type { Condition } from '../../programmes/index.ts';
import { SLENDERNESS } from '../../trunk/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

const WAIT_SEASONS = 15;
const STEP = 0.25;

const measureOf = (p: Plant, of: Condition['measure']) => (of === 'fill' ? p.fill(p.day) : p[of]);

/** How a slow, the typical and a fast plant stand to what is asked. */
function measures(p: Plant, c: Condition): { slow: number; typical: number; fast: number } {
  const typical = measureOf(p, c.measure);
  if (c.measure === 'fill') return { slow: typical, typical, fast: typical };
  const by = (caliper: number) =>
    c.measure === 'caliper' ? caliper : typical + SLENDERNESS.value * (caliper - p.caliper);
  return { slow: by(p.slow), typical, fast: by(p.fast) };
}

interface Reached {
  fast: Day | null;
  typical: Day | null;
  slow: Day | null;
}

/** Days on which fast, typical and slow plants get there, looked for a quarter of a season at a time. */
function reached(ctx: Context, plant: Plant, c: Condition): Reached {
  const probe = plant.clone();
  const found: Reached = { fast: null, typical: null, slow: null };
  const look = () => {
    const m = measures(probe, c);
    for (const who of ['fast', 'typical', 'slow'] as const)
      if (found[who] === null && m[who] >= c.atLeast) found[who] = probe.day;
  };
  look();
  for (let s = 0; s < WAIT_SEASONS / STEP && found.slow === null; s++) {
    probe.advance(afterSeasons(ctx.seasons, probe.day, STEP) + 1);
    look();
  }
  return found;
}

/** Where typical plants meet what a step asks but slow ones do not yet: the day those get there; null: never. */
export function slowAfter(
  ctx: Context,
  { step }: StepInHand,
  plant: Plant,
): { fast: null; slow: Day | null } | null {
  const c = step.conditions?.find((x) => measures(plant, x).slow < x.atLeast);
  if (!c) return null;
  const probe = plant.clone();
  for (let s = 0; s < WAIT_SEASONS; s++) {
    probe.advance(afterSeasons(ctx.seasons, probe.day, 1) + 1);
    if (measures(probe, c).slow >= c.atLeast) return { fast: null, slow: probe.day };
  }
  return { fast: null, slow: null };
}

/** Condition: the caliper, height or root-filling the step asks for, on the day looked at. */
export function condition(ctx: Context, { step }: StepInHand, plant: Plant): Demand | null {
  for (const c of step.conditions ?? []) {
    const now = measureOf(plant, c.measure);
    if (now >= c.atLeast) continue;
    const what = c.measure === 'fill' ? 'roots filling the container' : c.measure;
    const [factor, unit] = c.measure === 'fill' ? [100, '%'] : [1, 'mm'];
    const amount = `${Math.round(c.atLeast * factor)} ${unit}`;
    const { fast, typical, slow } = reached(ctx, plant, c);
    return {
      rule: 'condition',
      notBefore: typical ?? 'never',
      ...(typical === null ? { code: 'never-so-large' as const } : { band: { fast: fast ?? typical, slow } }),
      text:
        typical === null
          ? `Wants ${what} ${amount}; at this growth it never gets there in this container`
          : `Wants ${what} ${amount}; expected by {${toIso(typical)}}`,
      figures: [
        { label: `${what} wanted`, value: c.atLeast * factor, unit, basis: ctx.practice },
        { label: `${what} expected then`, value: Math.round(now * factor), unit, basis: 'computed' },
      ],
    };
  }
  return null;
}

export const conditionWords: RuleWords = {
  name: 'condition',
  words: 'Condition',
  wouldChange: 'A larger measurement, or a tally with more buds ready.',
};
export const conditionRule: RuleOf<'on the day'> = { ...conditionWords, when: 'on the day', ask: condition };
