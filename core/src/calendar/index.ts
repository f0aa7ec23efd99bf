/**
 * Calendar arithmetic on whole days. A `Day` is the number of days since 1970-01-01 (UTC);
 * dates cross every border of the core as ISO strings and are turned into days inside it.
 */
export type Day = number;
export type IsoDate = string;
export type Hemisphere = 'north' | 'south';

const DAY_MS = 86_400_000;
const ISO = /^(\d{4})-(\d{2})-(\d{2})$/;

/** True for a real calendar date written YYYY-MM-DD between the years 1900 and 2199. */
export function isIsoDate(text: unknown): text is IsoDate {
  const m = typeof text === 'string' ? ISO.exec(text) : null;
  if (!m) return false;
  const y = Number(m[1]);
  const mo = Number(m[2]);
  const d = Number(m[3]);
  return y >= 1900 && y < 2200 && new Date(Date.UTC(y, mo - 1, d)).toISOString().slice(0, 10) === text;
}

const read = new Map<IsoDate, Day>();
/** Day number of an ISO date. Throws RangeError when the text is no date. */
export function toDay(iso: IsoDate): Day {
  const known = read.get(iso);
  if (known !== undefined) return known;
  const ms = Date.parse(`${iso}T00:00:00Z`);
  if (Number.isNaN(ms)) throw new RangeError(`not a date: ${iso}`);
  const day = Math.round(ms / DAY_MS);
  read.set(iso, day);
  return day;
}

const written = new Map<Day, IsoDate>();
/** ISO date of a day number; kept, as the same days are written again and again. */
export function toIso(day: Day): IsoDate {
  const whole = Math.round(day);
  let iso = written.get(whole);
  if (iso === undefined) {
    iso = new Date(whole * DAY_MS).toISOString().slice(0, 10);
    written.set(whole, iso);
  }
  return iso;
}

export const dayOf = (year: number, month: number, date: number): Day =>
  Math.round(Date.UTC(year, month - 1, date) / DAY_MS);

const years = new Map<Day, number>();
export function yearOf(day: Day): number {
  let year = years.get(day);
  if (year === undefined) years.set(day, (year = new Date(day * DAY_MS).getUTCFullYear()));
  return year;
}

/** 0..364: place in an ordinary year; 29 February shares the place of the 28th. */
export function placeInYear(day: Day): number {
  const whole = Math.floor(day);
  const year = yearOf(whole);
  const place = whole - dayOf(year, 1, 1);
  return place > FEBRUARY_28 && isLeap(year) ? place - 1 : place;
}

const FEBRUARY_28 = 58;
const isLeap = (year: number) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

const MOST_KEPT = 64;
const placesKept = new Map<string, Uint16Array>();
/** Places in the year of successive days; kept, as the same stretch is walked for many simulated years. */
export function placesInYear(from: Day, length: number): Uint16Array {
  const key = `${from} ${length}`;
  let places = placesKept.get(key);
  if (!places) {
    if (placesKept.size >= MOST_KEPT) placesKept.clear();
    places = Uint16Array.from({ length }, (_, i) => placeInYear(from + i));
    placesKept.set(key, places);
  }
  return places;
}

export const addDays = (iso: IsoDate, n: number): IsoDate => toIso(toDay(iso) + n);
export const daysBetween = (from: IsoDate, to: IsoDate): number => toDay(to) - toDay(from);

/**
 * A season is named by the calendar year its spring stands in. It begins in midwinter
 * (1 January north of the equator, 1 July south of it); chilling is counted from two
 * months earlier (1 November, 1 May).
 */
export interface SeasonSpan {
  year: number;
  chillFrom: Day;
  from: Day;
  /** last day, inclusive */
  to: Day;
}

export function seasonSpan(year: number, hemisphere: Hemisphere): SeasonSpan {
  return hemisphere === 'north'
    ? { year, chillFrom: dayOf(year - 1, 11, 1), from: dayOf(year, 1, 1), to: dayOf(year, 12, 31) }
    : { year, chillFrom: dayOf(year, 5, 1), from: dayOf(year, 7, 1), to: dayOf(year + 1, 6, 30) };
}

/** The season a day stands in. */
export function seasonOf(day: Day, hemisphere: Hemisphere): number {
  const year = yearOf(day);
  return hemisphere === 'north' || day >= dayOf(year, 7, 1) ? year : year - 1;
}
