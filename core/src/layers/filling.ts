import { plural } from '../words/index.ts';
import { toIso, type Day } from '../calendar/index.ts';
import { AGAIN_SHARE } from '../cuttings/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { quantile } from '../stats/index.ts';
import type { Ease } from '../taxa/index.ts';
import {
  doubleCutOff,
  doubleMargin,
  fillDay,
  LAYER,
  layerWarmth,
  luck,
  type LayerMargin,
  type NeverFills,
} from './margin.ts';

export interface Filling {
  kind: 'days';
  p10: Day;
  p50: Day;
  p90: Day;
}

/**
 * When a layer that began to root on a day is full, over the place's simulated years. `share`: of the warmth of a
 * whole filling that is still wanted.
 */
export function filling(
  book: SeasonBook,
  from: Day,
  which: 'first' | 'second' = 'first',
  share = 1,
  ease: Ease = 'easy',
): Filling | NeverFills {
  const sum = layerWarmth(ease)[which].value;
  const cv = which === 'first' ? LAYER.firstSpread.value : LAYER.secondSpread.value;
  const full = book
    .years(book.seasonOf(from))
    .map((run, i) => fillDay(run, from, share * sum * luck(i, cv)) ?? Infinity)
    .sort((a, b) => a - b);
  if (quantile(full, 0.5) === Infinity) return { kind: 'never-fills' };
  const day = (q: number) => {
    const d = full[Math.round((full.length - 1) * q)];
    return d === Infinity ? from + 400 : d;
  };
  return { kind: 'days', p10: day(0.1), p50: day(0.5), p90: day(0.9) };
}

export type Verdict = 'double' | 'single' | 'wait' | 'never';

export interface LayerDecision {
  verdict: Verdict;
  fill: Filling | NeverFills;
  /** the day it would be opened: today when it is full, else the day it is expected to be */
  opening: Day;
  margin: LayerMargin | NeverFills;
  /** last day a double layer may be opened this season; null: none */
  cutOff: Day | null;
}

/** The later of a whole filling since the ring, and half a filling since a look that found it not full. */
function expected(book: SeasonBook, began: Day, seen: Day | null, ease: Ease): Filling | NeverFills {
  const whole = filling(book, began, 'first', 1, ease);
  if (seen === null) return whole;
  const again = filling(book, seen, 'first', AGAIN_SHARE.value, ease);
  return again.kind === 'days' && whole.kind === 'days' && whole.p50 > again.p50 ? whole : again;
}

/**
 * Single or double: whether a layer may be opened when it is full, its roots shortened, and still fill again
 * and settle before the first frost in nine years of ten. `full`: its roots have been seen to fill.
 * While it is not full the verdict is "wait" if there is time for both, and "single" if there is not.
 * `seen`: the last day it was looked at and not full; half the warmth of a filling is wanted again from then.
 */
export function decideLayer(
  book: SeasonBook,
  began: Day,
  today: Day,
  full: boolean,
  seen: Day | null = null,
  ease: Ease = 'easy',
): LayerDecision {
  const fill = expected(book, began, full ? null : seen, ease);
  const opening = full || fill.kind !== 'days' ? today : Math.max(today, fill.p50);
  const margin = doubleMargin(book, opening, ease);
  const span = book.span(book.seasonOf(opening));
  const cutOff = doubleCutOff(book, Math.max(span.from + 60, began), span.to, ease);
  if (!full && fill.kind === 'never-fills') return { verdict: 'never', fill, opening, margin, cutOff };
  const passes = margin.kind === 'margin' && margin.p10 >= 0;
  const verdict = !passes ? 'single' : full ? 'double' : 'wait';
  return { verdict, fill, opening, margin, cutOff };
}

const days = (n: number) => `${plural(n, 'day')}`;

/** A decision in plain words; dates stand as {YYYY-MM-DD}. */
export function verdictText(d: LayerDecision): string {
  if (d.verdict === 'never') return 'It does not fill here in most years: too cold for this stem to root.';
  const spare = d.margin.kind === 'margin' ? d.margin.p10 : null;
  const by = d.cutOff === null ? '' : ` The last day to open one here is {${toIso(d.cutOff)}}.`;
  const full = d.fill.kind === 'days' ? `{${toIso(d.fill.p50)}}` : 'an unknown day';
  if (d.verdict === 'double')
    return `Full: open it, shorten its roots, wrap it again. Nine years in ten it is full and settled at least ${days(spare ?? 0)} before frost.${by}`;
  if (d.verdict === 'wait')
    return `Not full yet, expected ${full}. Opened then, a second filling is done at least ${days(spare ?? 0)} before frost, nine years in ten.${by}`;
  const short = spare === null ? 'would not fill again' : `would come ${days(-spare)} too late for frost`;
  return `One filling only, sever it when it is full: opened {${toIso(d.opening)}}, a second ${short} one year in ten.${by}`;
}

/** Margins of a double layer opened on each of the days from `from` on, a step apart: the calendar of safe dates. */
export const marginCalendar = (book: SeasonBook, from: Day, to: Day, step = 7, ease: Ease = 'easy') =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => {
    const day = from + i * step;
    return { day, margin: doubleMargin(book, day, ease) };
  });
