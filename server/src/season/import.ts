import Papa from 'papaparse';
import type { WeatherReport } from '@gonimos/contract/season';
import { isIsoDate } from '@gonimos/core/calendar';

export interface WeatherDay {
  onDate: string;
  tmin: number;
  tmax: number;
}

const COLDEST = -70;
const WARMEST = 60;

/** Reads a daily record line by line: date,tmin,tmax and, if there, more columns that are passed over. */
export function readRecord(
  csv: string,
  today: string,
): { days: WeatherDay[]; faults: WeatherReport['faults'] } {
  const parsed = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const faults: WeatherReport['faults'] = [];
  const missing = ['date', 'tmin', 'tmax'].filter((c) => !(parsed.meta.fields ?? []).includes(c));
  for (const field of missing) faults.push({ line: 1, field, reason: 'column is missing' });
  if (missing.length > 0) return { days: [], faults };
  const days = new Map<string, WeatherDay>();
  parsed.data.forEach((cells, i) => {
    const line = i + 2;
    const fault = (field: string, reason: string) => faults.push({ line, field, reason });
    const date = (cells.date ?? '').trim();
    const number = (text: string | undefined) => (text?.trim() ? Number(text.trim().replace(',', '.')) : NaN);
    const tmin = number(cells.tmin);
    const tmax = number(cells.tmax);
    const good = (t: number) => t >= COLDEST && t <= WARMEST;
    if (!isIsoDate(date)) return fault('date', 'is not a date written YYYY-MM-DD');
    if (date > today) return fault('date', `is after today, ${today}`);
    if (days.has(date)) return fault('date', 'is there twice');
    if (!good(tmin)) return fault('tmin', `is not between ${COLDEST} and ${WARMEST} °C`);
    if (!good(tmax)) return fault('tmax', `is not between ${COLDEST} and ${WARMEST} °C`);
    if (tmax < tmin) return fault('tmax', 'is below the minimum');
    days.set(date, { onDate: date, tmin, tmax });
  });
  if (parsed.data.length === 0) faults.push({ line: 1, field: 'file', reason: 'has no days' });
  return { days: [...days.values()].sort((a, b) => (a.onDate < b.onDate ? -1 : 1)), faults };
}
