import type { SeasonBook } from './book.ts';
import { coldestMonth } from './climate.ts';
import { LEAST_SAFE } from './cold.ts';
import { MARKER_RULES } from './marker-rules.ts';
import type { SeasonalKind } from './observe.ts';

/** Why a kind does not do at a place, and what would. */
export interface Unsuited {
  code: 'winters-too-warm' | 'never-warm-enough';
  text: string;
  instead: string;
}

const round = (x: number) => Math.round(x * 10) / 10;

/**
 * Whether the climate of a place gives a kind the year it lives by: cold to wake it, or warmth to grow in.
 * A kind ruled by cold under glass rests in the open air, so the open air of the site decides.
 */
export function unsuited(kind: SeasonalKind & { name: string }, book: SeasonBook): Unsuited | null {
  if (kind.phenology === 'warm-season') {
    if (book.marker('warm-season', book.seasonOf(0), kind).kind === 'days') return null;
    return {
      code: 'never-warm-enough',
      text: `${kind.name} grows in warmth, and this place has no fortnight of ${MARKER_RULES.warmMean} °C in most years`,
      instead: 'A heated house would do, or a hardy kind here',
    };
  }
  const coldest = Math.min(coldestMonth(book.climate), coldestMonth(book.outside.climate));
  if (coldest <= MARKER_RULES.tooWarm) return null;
  return {
    code: 'winters-too-warm',
    text: `${kind.name} wakes after cold, and the coldest month here has a mean of ${round(coldest)} °C: its buds would open without order and it weakens`,
    instead: 'Kinds ruled by warmth and rain do here: fig, premna, fukien tea, orange jasmine, paper flower',
  };
}

/** Why tender plants stay in all year at a site, or null when they may go out for the summer. */
export function staysIn(open: SeasonBook, bears: number, year: number): string | null {
  const { safe } = open.coldBelow(bears, year);
  if (safe >= LEAST_SAFE) return null;
  return safe <= 0
    ? `nights of ${bears} °C come in every month here: it stays in`
    : `only ${safe} days lie between the last night of ${bears} °C and the first, in one year of a hundred; ${LEAST_SAFE} are wanted: it stays in`;
}
