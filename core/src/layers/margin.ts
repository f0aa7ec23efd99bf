import type { Day } from '../calendar/index.ts';
import { cp, type Param } from '../params/index.ts';
import { random } from '../random/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { degreeDays } from '../season/degree-days.ts';
import { quantile } from '../stats/index.ts';
import { EASE, type Ease } from '../taxa/index.ts';

/**
 * Warmth an air layer of an easy kind needs to fill with root, and how much layers differ. Fitted so that layers rung
 * by early May in a cool maritime place, almost full by midsummer and again three and a half weeks after, lie
 * between P10 and P90. Common practice, no source.
 */
export const LAYER = {
  base: cp(8, '°C'),
  firstFill: cp(375, '°C·d above 8 °C'),
  firstSpread: cp(0.35, 'cv'),
  secondFill: cp(260, '°C·d above 8 °C'),
  secondSpread: cp(0.35, 'cv'),
  settling: cp(49, 'days'),
} as const;

/** Warmth a layer of a kind wants to fill, and to fill again; slower kinds want more of it by their class. */
export function layerWarmth(ease: Ease): { first: Param; second: Param } {
  const { value } = EASE[ease].fills;
  const by = (p: Param) => ({ ...p, value: Math.round(p.value * value) });
  return { first: by(LAYER.firstFill), second: by(LAYER.secondFill) };
}
/** A double layer is offered when it passes in at least this share of years. */
export const SURE = 0.9;

export interface LayerMargin {
  kind: 'margin';
  /** days from the second filling and settling to the first air at or below 0 °C: one year in ten is worse */
  p10: number;
  p50: number;
  /** share of the years in which it passes */
  share: number;
}
/** The layer does not fill here in most years. */
export interface NeverFills {
  kind: 'never-fills';
}

const NEVER = -400;
const NO_FROST = 400;

/** Day a layer is full, begun on `start`, in one simulated year; null when the year ends first. */
export function fillDay(
  run: { from: Day; tmin: Float64Array; tmax: Float64Array },
  start: Day,
  wanted: number,
): Day | null {
  let sum = 0;
  for (let i = start + 1 - run.from; i < run.tmin.length; i++) {
    sum += degreeDays(run.tmin[i], run.tmax[i], LAYER.base.value);
    if (sum >= wanted) return run.from + i;
  }
  return null;
}

/** Luck of each simulated year, the same for every opening date, so that margins can be compared. */
export const luck = (year: number, spread: number) =>
  Math.max(0.3, 1 + spread * random(7000 + year).normal());

/**
 * How much time a double layer opened on a day has before frost, over the place's simulated years.
 * Later openings never have more. `never-fills` when most years are too cold.
 */
export function doubleMargin(book: SeasonBook, opened: Day, ease: Ease = 'easy'): LayerMargin | NeverFills {
  const own = margins.get(book) ?? new Map<string, LayerMargin | NeverFills>();
  margins.set(book, own);
  const key = `${opened} ${ease}`;
  let found = own.get(key);
  if (!found) own.set(key, (found = workOut(book, opened, ease)));
  return found;
}
const margins = new WeakMap<SeasonBook, Map<string, LayerMargin | NeverFills>>();

function workOut(book: SeasonBook, opened: Day, ease: Ease): LayerMargin | NeverFills {
  const wanted = layerWarmth(ease).second.value;
  const season = book.seasonOf(opened);
  const spare = book.years(season).map((run, i) => {
    const full = fillDay(run, opened, wanted * luck(i, LAYER.secondSpread.value));
    if (full === null) return NEVER;
    const turn = book.span(season).from + 171;
    let frost: number | null = null;
    // the first of the autumn, also for a layer opened after it: a later one would make late openings look safe
    for (let d = turn - run.from; d < run.tmin.length && frost === null; d++)
      if (run.tmin[d] <= 0) frost = run.from + d;
    return frost === null ? NO_FROST : frost - (full + LAYER.settling.value);
  });
  spare.sort((a, b) => a - b);
  const passing = spare.filter((m) => m >= 0).length / spare.length;
  if (spare[Math.floor(spare.length / 2)] === NEVER) return { kind: 'never-fills' };
  return {
    kind: 'margin',
    p10: Math.round(quantile(spare, 0.1)),
    p50: Math.round(quantile(spare, 0.5)),
    share: passing,
  };
}

/** Last day from `from` to `to` on which a double layer still passes; null when none does. */
export function doubleCutOff(book: SeasonBook, from: Day, to: Day, ease: Ease = 'easy'): Day | null {
  const passes = (day: Day) => {
    const m = doubleMargin(book, day, ease);
    return m.kind === 'margin' && m.p10 >= 0;
  };
  if (!passes(from)) return null;
  let low = from;
  let high = to;
  while (low < high) {
    const mid = Math.ceil((low + high) / 2);
    if (passes(mid)) low = mid;
    else high = mid - 1;
  }
  return low;
}
