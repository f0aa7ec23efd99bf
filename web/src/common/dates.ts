import { daysBetween, isIsoDate, toDay, yearOf } from '@gonimos/core/calendar';
import { dateOrder } from './date-order';
import { inUnits } from './units';

const LOCALE = { 'day first': 'en-GB', 'month first': 'en-US' }[dateOrder()];
const format = (options: Intl.DateTimeFormatOptions) => {
  const f = new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: 'UTC' });
  return (iso: string) => f.format(toDay(iso) * 86_400_000);
};
const dayMonth = format({ day: 'numeric', month: 'short' });
const dayMonthYear = format({ day: 'numeric', month: 'short', year: 'numeric' });
export const weekdayDate = format({ weekday: 'short', day: 'numeric', month: 'long' });
export const fullDate = format({ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });
export const monthYear = format({ month: 'long', year: 'numeric' });
export const monthName = format({ month: 'short' });

/** "18 Mar", with the year when it is not that of `today`. */
export const shortDate = (iso: string, today?: string): string =>
  today !== undefined && iso.slice(0, 4) === today.slice(0, 4) ? dayMonth(iso) : dayMonthYear(iso);

/** "18 Mar – 6 Apr 2037", the year said once and only when it is not today's. */
export function dateSpan(from: string, to: string, today: string): string {
  const sameYear = from.slice(0, 4) === to.slice(0, 4);
  return `${sameYear ? dayMonth(from) : dayMonthYear(from)} – ${shortDate(to, today)}`;
}

/** A start as the grower said it; a plain day is written like any other. */
export function saidDate(said: string, today: string): string {
  const range = /^(\d{4}-\d{2}-\d{2})\.\.(\d{4}-\d{2}-\d{2})$/.exec(said);
  if (range) return dateSpan(range[1], range[2], today);
  return isIsoDate(said) ? shortDate(said, today) : said;
}

/** "today", "in 5 days", "3 days ago". */
export function fromNow(iso: string, today: string): string {
  const n = daysBetween(today, iso);
  if (n === 0) return 'today';
  const days = Math.abs(n);
  const text = days === 1 ? '1 day' : days < 60 ? `${days} days` : `${Math.round(days / 30.4)} months`;
  return n > 0 ? `in ${text}` : `${text} ago`;
}

/** Dates inside a reason are written {YYYY-MM-DD}; people read them, and measures, in their own way. */
export const readable = (text: string, today: string): string =>
  inUnits(text).replace(/\{(\d{4}-\d{2}-\d{2})\}/g, (_, iso: string) => shortDate(iso, today));

export const yearsOld = (startedFrom: string, today: string): number =>
  Math.max(0, Math.floor(daysBetween(startedFrom, today) / 365.25));
export const seasonYear = (iso: string): number => yearOf(toDay(iso));

/** "2 h 10" or "35 min". */
export function duration(minutes: number): string {
  const m = Math.round(minutes);
  return m < 60 ? `${m} min` : `${Math.floor(m / 60)} h ${String(m % 60).padStart(2, '0')}`;
}

/** A moment that was kept by the server, in the time of whoever looks. */
export const momentOf = (at: string): string =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(at));
