import { addDays, isIsoDate, toDay, toIso } from '@gonimos/core/calendar';

/** Day before month, or month before day, as the person writes it. */
export type DateOrder = 'day first' | 'month first';

const WEEKDAYS = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const WORDS: Record<string, number> = { today: 0, yesterday: -1, tomorrow: 1 };
const LENGTH: Record<string, number> = { d: 1, w: 7 };

/** A day and a month, in the year that lies nearest on the side one looks to. */
function inYear(day: number, month: number, year: number | null, today: string, lean: 1 | -1): string | null {
  const iso = (y: number) => `${y}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  const own = year === null ? Number(today.slice(0, 4)) : year < 100 ? 2000 + year : year;
  const here = iso(own);
  if (!isIsoDate(here)) return null;
  if (year !== null) return here;
  const next = iso(own + lean);
  return (lean < 0 && here > today) || (lean > 0 && here < today) ? (isIsoDate(next) ? next : here) : here;
}

/**
 * Reads a day as people type it: "tue", "+10d", "-2w", "yesterday", "15 6", "15 jun", "jun 15", "15/6/36",
 * "2036-06-15". `lean`: whether a day without a year, or a weekday, lies before today (-1) or after it (1).
 * null when it is none of these.
 */
export function readDay(
  text: string,
  today: string,
  { lean = -1, order = 'day first' }: { lean?: 1 | -1; order?: DateOrder } = {},
): string | null {
  const said = text
    .trim()
    .toLowerCase()
    .replace(/^(mon|tues?|wed(nes)?|thu(rs)?|fri|sat(ur)?|sun)(day)?,?\s+(?=\d)/, '');
  const whole: boolean = isIsoDate(said);
  if (whole) return said;
  if (Object.hasOwn(WORDS, said)) return addDays(today, WORDS[said]);
  const by = /^([+-])\s?(\d{1,4})\s?([dw])?$/.exec(said);
  if (by) return addDays(today, Number(`${by[1]}${by[2]}`) * LENGTH[by[3] ?? 'd']);
  const dayName = /^(mo|tu|we|th|fr|sa|su)[a-z]*$/.exec(said);
  if (dayName) {
    const now = (((toDay(today) + 3) % 7) + 7) % 7;
    const ahead = (WEEKDAYS.indexOf(dayName[1]) - now + 7) % 7;
    if (lean > 0) return addDays(today, ahead === 0 ? 7 : ahead);
    return addDays(today, ahead === 0 ? 0 : ahead - 7);
  }
  const parts = said.split(/[\s./,-]+/).filter(Boolean);
  if (parts.length < 2 || parts.length > 3) return null;
  const named = parts.findIndex((p) => MONTHS.includes(p.slice(0, 3)));
  const year = parts[2] === undefined ? null : Number(parts[2]);
  const first = order === 'day first' ? 0 : 1;
  const day = Number(parts[named < 0 ? first : named === 0 ? 1 : 0]);
  const month = named < 0 ? Number(parts[1 - first]) : MONTHS.indexOf(parts[named].slice(0, 3)) + 1;
  if (![day, month, year ?? 0].every(Number.isInteger)) return null;
  return inYear(day, month, year, today, lean);
}

/** The day as a native calendar takes it, and back; noon, so that no clock change moves it. */
export const toNative = (iso: string): Date => new Date(`${iso}T12:00:00`);
export const fromNative = (d: Date): string =>
  toIso(Math.round(Date.UTC(d.getFullYear(), d.getMonth(), d.getDate()) / 86_400_000));
