import type { Day } from '../calendar/index.ts';
import type { SeasonBook } from '../season/book.ts';
import type { Taxon } from '../taxa/index.ts';
import { coldMissing, seedNeeds } from './stratify.ts';

/** Days from midwinter to midsummer: what is sown later lies in the cold of the winter that comes. */
const MIDSUMMER = 170;

type Calendar = Pick<SeasonBook, 'seasonOf' | 'span'>;

/** Whether a sowing lies before the summer, with no winter of its own until it is to come up. */
export const sownInSpring = (book: Calendar, sownOn: Day): boolean =>
  sownOn - book.span(book.seasonOf(sownOn)).from <= MIDSUMMER;

/**
 * The day from which warmth counts toward emergence. That is the day of sowing; seed sown in the second half of
 * the year that ripens in autumn or wants cold, and seed sown in spring with less than half of its cold, come up
 * in the spring that follows. Common practice, no source.
 *
 * @param chilled days of cold the seed had when it was sown; null: none is told of, taken as enough
 */
export function growsFrom(t: Taxon, book: Calendar, sownOn: Day, chilled: number | null): Day {
  if (t.phenology === 'warm-season') return sownOn;
  const needs = seedNeeds(t);
  const next = book.span(book.seasonOf(sownOn) + 1).from;
  if (!sownInSpring(book, sownOn)) return needs.kind === 'stratified' || t.sown === 'autumn' ? next : sownOn;
  const asleep = chilled !== null && needs.kind === 'stratified' && tooLittle(t, chilled);
  return asleep ? next : sownOn;
}

/** Whether most of the seed of a lot waits another winter: it had less than half of its cold. */
export function tooLittle(t: Taxon, chilled: number): boolean {
  const needs = seedNeeds(t);
  return needs.kind === 'stratified' && coldMissing(needs, chilled) > needs.cold.value / 2;
}
