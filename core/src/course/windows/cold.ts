import { toIso, type Day } from '../../calendar/index.ts';
import type { WindowSpec } from '../../operations/index.ts';
import type { ChanceDay } from '../../season/cold.ts';
import { staysIn } from '../../season/suited.ts';
import type { Context, StepInHand } from '../types.ts';
import { HORIZON, USABLE, type NoWindow, type Window } from './types.ts';

type Spec = WindowSpec & { kind: 'cold' };
/** Plants that go out stand out this long at least before they come in again. Common practice, no source. */
const LEAST_OUT = 30;

const figuresOf = (ctx: Context, night: ChanceDay): Window['figures'] => [
  { label: 'coldest borne', ...ctx.taxon.hardyTo },
  { label: 'one year in a hundred', value: toIso(night.p01), unit: '', basis: 'computed' },
  { label: 'one year in fifty', value: toIso(night.p02), unit: '', basis: 'computed' },
  { label: 'half the years', value: toIso(night.p50), unit: '', basis: 'computed' },
];

function textOf(ctx: Context, spec: Spec, night: ChanceDay): string {
  const which = spec.side === 'first' ? 'First' : 'Last';
  return `${which} night of ${ctx.taxon.hardyTo.value} °C or colder outdoors: {${toIso(night.p50)}} in half the years, {${toIso(night.p02)}} in one of fifty`;
}

/** The day plants went out, or are planned to, when this step brings them in again. */
function wentOut(ctx: Context, hand: StepInHand): Day | null {
  for (const a of hand.step.after) {
    const before = ctx.dates.get(a.step);
    if (before?.work === 'take-out') return before.day;
  }
  return null;
}

/** Coming in follows going out within one warm season, however late they went out. */
function backIn(ctx: Context, spec: Spec, out: Day, from: Day): Window | NoWindow {
  const air = ctx.book.outside;
  const night = air.coldBelow(ctx.taxon.hardyTo.value, air.seasonOf(out)).first;
  if (!night) return noCold(ctx);
  // the tail is thin: aimed at one year in a hundred, it holds for one in fifty
  const opens = Math.max(from, Math.min(night.p01 + spec.opens, Math.max(from, night.p01 - USABLE)));
  const closes = Math.max(night.p01 + spec.closes, opens + USABLE);
  return {
    opens,
    closes,
    early: opens,
    late: opens,
    missed: null,
    text: textOf(ctx, spec, night),
    figures: figuresOf(ctx, night),
  };
}

const noCold = (ctx: Context): NoWindow => ({
  none: `no night of ${ctx.taxon.hardyTo.value} °C comes to this site: it may stand out all year`,
  code: 'no-cold',
});

/** A window around the nights too cold for a kind, on either side of the warm season it stands out in. */
export function coldWindow(
  ctx: Context,
  hand: StepInHand,
  spec: Spec,
  from: Day,
  least: number,
): Window | NoWindow {
  const air = ctx.book.outside;
  const bears = ctx.taxon.hardyTo.value;
  const out = spec.side === 'first' ? wentOut(ctx, hand) : null;
  if (out !== null) return backIn(ctx, spec, out, from);
  const first = air.seasonOf(from) - 1;
  for (let y = first; y < first + HORIZON; y++) {
    const spells = air.coldBelow(bears, y);
    const stays = staysIn(air, bears, y);
    if (stays) return { none: stays, code: 'stays-in' };
    const night = spells[spec.side];
    if (!night) continue;
    const opens = night.p02 + spec.opens;
    const latest = spec.side === 'last' && spells.first ? spells.first.p01 - LEAST_OUT : Infinity;
    const closes = Math.min(night.p02 + spec.closes, Math.max(latest, opens + USABLE));
    const start = Math.max(opens, from);
    if (closes - start < least || closes < ctx.today) continue;
    return {
      opens: start,
      closes,
      early: start,
      late: start,
      missed: null,
      text: textOf(ctx, spec, night),
      figures: figuresOf(ctx, night),
    };
  }
  return noCold(ctx);
}
