import { toIso } from '../../calendar/index.ts';
import type { Plant } from '../../plant/index.ts';
import { exposureBetween, HARDENED_FOR, HARDENED_STEP, SAFE_STEP, safeFrom } from '../../season/exposure.ts';
import type { Context, Demand, Figure, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Exposure between places: no plant goes from a warm house into a night it is not ready for. */
export function exposure(ctx: Context, { op, step: s }: StepInHand, plant: Plant): Demand | null {
  if (!op.exposes) return null;
  const { hardyTo } = ctx.taxon;
  const hardened = [...ctx.dates.entries()].some(
    ([key, d]) =>
      key !== s.key &&
      d.work === 'harden-off' &&
      d.day !== null &&
      d.day <= plant.day &&
      plant.day - d.day <= HARDENED_FOR,
  );
  const air = ctx.book.outside;
  const then = exposureBetween(ctx.book, air, plant.day, hardyTo.value, hardened);
  if (then.safe) return null;
  const day = safeFrom(ctx.book, air, plant.day + 1, hardyTo.value, hardened);
  const limit = hardened ? HARDENED_STEP : SAFE_STEP;
  const low = Math.round(then.low);
  const fall = Math.round(then.fall);
  const figures: Figure[] = [
    { label: 'open air, one night in ten', value: low, unit: '°C', basis: 'computed' },
    { label: 'than where it stands', value: fall, unit: '°C colder', basis: 'computed' },
    {
      label: hardened ? 'bears after hardening off' : 'bears without hardening off',
      value: limit.value,
      unit: limit.unit,
      basis: limit.basis,
    },
    { label: 'coldest borne', value: hardyTo.value, unit: '°C', basis: hardyTo.basis },
  ];
  const when = day === null ? 'no day within ten months' : `{${toIso(day)}}`;
  return {
    rule: 'exposure',
    notBefore: day ?? 'never',
    ...(day === null ? { code: 'exposure' as const } : {}),
    text: `Out of its place into nights of ${low} °C, ${fall} °C colder than where it stands${hardened ? '' : ' without hardening off'}; safe from ${when}`,
    figures,
  };
}

export const exposureWords: RuleWords = {
  name: 'exposure',
  words: 'Exposure between places',
  wouldChange: 'Hardening off, another place, or milder nights.',
};
export const exposureRule: RuleOf<'on the day'> = { ...exposureWords, when: 'on the day', ask: exposure };
