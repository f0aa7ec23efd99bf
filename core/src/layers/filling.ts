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

type Which = 'first' | 'second';

/** Days on which a layer that began on a day is full, one for each simulated year, earliest first; Infinity: never. */
function fullDays(book: SeasonBook, from: Day, which: Which, share: number, ease: Ease): number[] {
  const sum = layerWarmth(ease)[which].value;
  const cv = which === 'first' ? LAYER.firstSpread.value : LAYER.secondSpread.value;
  return book
    .years(book.seasonOf(from))
    .map((run, i) => fillDay(run, from, share * sum * luck(i, cv)) ?? Infinity)
    .sort((a, b) => a - b);
}

function spreadOf(full: readonly number[], from: Day): Filling | NeverFills {
  if (quantile([...full], 0.5) === Infinity) return { kind: 'never-fills' };
  const day = (q: number) => {
    const d = full[Math.round((full.length - 1) * q)];
    return d === Infinity ? from + 400 : d;
  };
  return { kind: 'days', p10: day(0.1), p50: day(0.5), p90: day(0.9) };
}

/**
 * When a layer that began to root on a day is full, over the place's simulated years. `share`: of the warmth of a
 * whole filling that is still wanted.
 */
export const filling = (
  book: SeasonBook,
  from: Day,
  which: Which = 'first',
  share = 1,
  ease: Ease = 'easy',
): Filling | NeverFills => spreadOf(fullDays(book, from, which, share, ease), from);

/** A filling as it is expected on a day. */
export interface ExpectedFilling {
  fill: Filling | NeverFills;
  /** the day its course counts on, as reckoned from the start; null: never */
  due: Day | null;
  /** that day has gone by and nobody has said that it is full: `fill` counts from today on */
  overdue: boolean;
}

/** Years of the simulated ones that must be left for what is overdue to be told by them. */
const YEARS_LEFT = 10;
/** Share of a filling wanted still where hardly any year took so long. Common practice, no source. */
const LAST_SHARE = 0.1;

/**
 * When a layer is full, as things stand on `today`: the later of a whole filling since it was wrapped, and half a
 * filling since the last look that found it not full. What is overdue is told anew by the years that took longer.
 */
export function expectedFull(
  book: SeasonBook,
  {
    from,
    seen,
    today,
    which = 'first',
    ease = 'easy',
  }: {
    from: Day;
    /** the last day it was looked at and not full; null: nobody looked */
    seen: Day | null;
    today: Day;
    which?: Which;
    ease?: Ease;
  },
): ExpectedFilling {
  const sum = layerWarmth(ease)[which].value;
  const half = Math.round(sum * AGAIN_SHARE.value);
  const whole = book.warmthBy(from, sum, LAYER.base.value);
  const again = seen === null ? null : book.warmthBy(seen, half, LAYER.base.value);
  const late = again !== null && whole !== null && again > whole;
  const full = late
    ? fullDays(book, seen!, which, AGAIN_SHARE.value, ease)
    : fullDays(book, from, which, 1, ease);
  const fill = spreadOf(full, from);
  const due = late ? again : whole;
  if (fill.kind !== 'days' || due === null) return { fill, due: null, overdue: false };
  if (due >= today) return { fill, due, overdue: false };
  const longer = full.filter((d) => d > today);
  const left = longer.length >= YEARS_LEFT ? longer : fullDays(book, today, which, LAST_SHARE, ease);
  return { fill: spreadOf(left, today), due, overdue: true };
}

export type Verdict = 'double' | 'single' | 'wait' | 'never';

/** How a nursery or a grower has it: as the dates allow, or one way whatever they allow. */
export type LayerSchool = 'by-date' | 'single' | 'double';

export interface LayerDecision extends ExpectedFilling {
  verdict: Verdict;
  /** the day it would be opened: today when it is full or overdue, else the day it is expected to be full */
  opening: Day;
  margin: LayerMargin | NeverFills;
  /** last day a double layer may be opened this season; null: none */
  cutOff: Day | null;
}

export interface LayerQuestion {
  /** the day it was ringed */
  began: Day;
  today: Day;
  /** its roots have been seen to fill */
  full: boolean;
  /** the last day it was looked at and not full */
  seen?: Day | null;
  ease?: Ease;
  school?: LayerSchool;
}

/**
 * Single or double: whether a layer may be opened when it is full, its roots shortened, and still fill again
 * and settle before the first frost in nine years of ten. While it is not full the verdict is "wait" if there is
 * time for both, and "single" if there is not, or if that is the grower's way.
 */
export function decideLayer(book: SeasonBook, q: LayerQuestion): LayerDecision {
  const { began, today, full, ease = 'easy', school = 'by-date' } = q;
  const expected = expectedFull(book, { from: began, seen: full ? null : (q.seen ?? null), today, ease });
  const { fill, due } = expected;
  const opening = full || due === null ? today : Math.max(today, due);
  const margin = doubleMargin(book, opening, ease);
  const span = book.span(book.seasonOf(opening));
  const cutOff = doubleCutOff(book, Math.max(span.from + 60, began), span.to, ease);
  const decided = { ...expected, opening, margin, cutOff };
  if (!full && fill.kind === 'never-fills') return { ...decided, verdict: 'never' };
  const passes = margin.kind === 'margin' && margin.p10 >= 0 && school !== 'single';
  const verdict = !passes ? 'single' : full ? 'double' : 'wait';
  return { ...decided, verdict };
}

const days = (n: number) => `${plural(n, 'day')}`;

/** When it is full, in words. */
function fullWords(d: LayerDecision): string {
  if (d.due === null) return 'Not full yet';
  if (!d.overdue) return `Not full yet, expected {${toIso(d.due)}}`;
  const later = d.fill.kind === 'days' ? `; if it is not, by {${toIso(d.fill.p50)}}` : '';
  return `Expected full {${toIso(d.due)}}, and not seen to be: look now${later}`;
}

/** A decision in plain words; dates stand as {YYYY-MM-DD}. */
export function verdictText(d: LayerDecision): string {
  if (d.verdict === 'never') return 'It does not fill here in most years: too cold for this stem to root.';
  const spare = d.margin.kind === 'margin' ? d.margin.p10 : null;
  const by = d.cutOff === null ? '' : ` The last day to open one here is {${toIso(d.cutOff)}}.`;
  if (d.verdict === 'double')
    return `Full: open it, shorten its roots, wrap it again. Nine years in ten it is full and settled at least ${days(spare ?? 0)} before frost.${by}`;
  if (d.verdict === 'wait')
    return `${fullWords(d)}. Opened then, a second filling is done at least ${days(spare ?? 0)} before frost, nine years in ten.${by}`;
  if (spare !== null && spare >= 0)
    return `One filling only, as the school of layers has it: sever it when it is full. The dates would allow a second, ${days(spare)} before frost.`;
  const short =
    spare === null ? 'would not fill again' : `would come ${days(-(spare ?? 0))} too late for frost`;
  return `One filling only, sever it when it is full: opened {${toIso(d.opening)}}, a second ${short} one year in ten.${by}`;
}

/** Margins of a double layer opened on each of the days from `from` on, a step apart: the calendar of safe dates. */
export const marginCalendar = (book: SeasonBook, from: Day, to: Day, step = 7, ease: Ease = 'easy') =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => {
    const day = from + i * step;
    return { day, margin: doubleMargin(book, day, ease) };
  });
