import { dayOf, isIsoDate, seasonSpan, toIso, type Hemisphere, type IsoDate } from './index.ts';

/** A date known only as well as the grower knows it: a day, a month, a season, a year, or a range. */
export interface UncertainDate {
  from: IsoDate;
  to: IsoDate;
  said: string;
}

const QUARTERS = ['winter', 'spring', 'summer', 'autumn'] as const;
const span = (from: number, to: number, said: string): UncertainDate => ({
  from: toIso(from),
  to: toIso(to),
  said,
});

/**
 * Reads "2024-03-14", "2024-03", "spring 2021", "2021", "2019-2021" or "2019-03-01..2020-06-30".
 * Seasons follow the hemisphere; winter is named by the year its January or July stands in.
 * With `today` also ages, in full years: "3 years", "2 or 3 years".
 * Returns null when the text is none of these, or a range runs backwards.
 */
export function readUncertainDate(
  text: string,
  hemisphere: Hemisphere,
  today?: IsoDate,
): UncertainDate | null {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (isIsoDate(said)) return { from: said, to: said, said };

  const range = /^(\d{4}-\d{2}-\d{2})\s?(?:\.\.|to)\s?(\d{4}-\d{2}-\d{2})$/.exec(said);
  if (range)
    return isIsoDate(range[1]) && isIsoDate(range[2]) && range[1] <= range[2]
      ? { from: range[1], to: range[2], said }
      : null;

  const month = /^(\d{4})-(\d{2})$/.exec(said);
  if (month && isIsoDate(`${month[0]}-01`)) {
    const y = Number(month[1]);
    const m = Number(month[2]);
    return span(dayOf(y, m, 1), dayOf(y, m + 1, 1) - 1, said);
  }

  const years = /^(\d{4})(?:\s?(?:-|or|to)\s?(\d{4}))?$/.exec(said);
  if (years) {
    const a = Number(years[1]);
    const b = Number(years[2] ?? years[1]);
    return a >= 1900 && b < 2200 && a <= b ? span(dayOf(a, 1, 1), dayOf(b, 12, 31), said) : null;
  }

  const age = /^(\d{1,2})(?:\s?(?:-|or|to)\s?(\d{1,2}))? years?(?: old)?$/.exec(said);
  if (age && today) {
    const least = Number(age[1]);
    const most = Number(age[2] ?? age[1]);
    if (least > most) return null;
    const [y, m, d] = today.split('-').map(Number);
    const from = dayOf(y - most - 1, m, d) + 1;
    const to = dayOf(y - least, m, d);
    // kept as days: an age is true only on the day it is told
    return span(from, to, `${toIso(from)}..${toIso(to)}`);
  }

  const season = /^(winter|spring|summer|autumn|fall) (\d{4})$/.exec(said);
  if (season && Number(season[2]) > 1900 && Number(season[2]) < 2199) {
    const name = season[1] === 'fall' ? 'autumn' : season[1];
    const quarter = QUARTERS.indexOf(name as (typeof QUARTERS)[number]);
    const midwinter = seasonSpan(Number(season[2]), hemisphere).from;
    const start = midwinter - 31 + Math.round((quarter * 365.25) / 4);
    return span(start, start + 90, said);
  }
  return null;
}
