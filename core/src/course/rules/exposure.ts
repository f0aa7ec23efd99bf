import { toIso, type Day } from '../../calendar/index.ts';
import { cp } from '../../params/index.ts';
import type { Tree } from '../tree.ts';
import type { Context, Demand, Figure, StepInHand } from '../types.ts';

/** Largest fall from the house's night to the open air's, without and after hardening off. */
export const SAFE_STEP = cp(10, '°C');
export const HARDENED_STEP = cp(18, '°C');
/** Nights as mild as this harm nothing, whatever the fall. */
export const MILD = cp(5, '°C');
const HARDENED_FOR = 45;
const SEARCH = 300;

/** The open air on a day against what the plants are used to and can bear. */
function step(ctx: Context, day: Day, allowed: number): { fall: number; low: number; safe: boolean } {
  const low = ctx.book.outdoors(day).low.p10;
  const fall = ctx.book.outlook(day).low.p50 - low;
  const { value } = ctx.taxon.hardyTo;
  return { fall, low, safe: low >= value && (fall <= allowed || low >= Math.max(MILD.value, value + 2)) };
}

/** Exposure between places: no tree goes from a warm house into a night it is not ready for. */
export function exposure(ctx: Context, { op, step: s }: StepInHand, tree: Tree): Demand | null {
  if (!op.exposes) return null;
  const hardened = [...ctx.dates.entries()].some(
    ([key, d]) =>
      key !== s.key &&
      d.operation === 'harden-off' &&
      d.day !== null &&
      d.day <= tree.day &&
      tree.day - d.day <= HARDENED_FOR,
  );
  const limit = hardened ? HARDENED_STEP : SAFE_STEP;
  const today = step(ctx, tree.day, limit.value);
  if (today.safe) return null;
  let day: Day | 'never' = 'never';
  for (let d = tree.day + 1; d < tree.day + SEARCH && day === 'never'; d++)
    if (step(ctx, d, limit.value).safe) day = d;
  const whole = (x: number) => Math.round(x);
  const figures: Figure[] = [
    { label: 'open air, one night in ten', value: whole(today.low), unit: '°C', basis: 'computed' },
    { label: 'fall from where it stands', value: whole(today.fall), unit: '°C', basis: 'computed' },
    {
      label: hardened ? 'bears after hardening off' : 'bears without hardening off',
      value: limit.value,
      unit: limit.unit,
      basis: limit.basis,
    },
    { label: 'coldest borne', value: ctx.taxon.hardyTo.value, unit: '°C', basis: ctx.taxon.hardyTo.basis },
  ];
  const when = day === 'never' ? 'no day within the year' : `{${toIso(day)}}`;
  return {
    rule: 'exposure',
    notBefore: day,
    text: `Out of its place into nights of ${whole(today.low)} °C, a fall of ${whole(today.fall)} °C${hardened ? '' : ' without hardening off'}; safe from ${when}`,
    figures,
  };
}
