import { toDay, toIso } from '@gonimos/core/calendar';
import type { WeatherRun } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';

export async function recordEnd(sql: Sql): Promise<string | null> {
  const row = await sql('weather_day').max<{ max: string | null }[]>('on_date as max').first();
  return row?.max ?? null;
}

/** The outdoor weather record up to its end, back to the last gap; null when there is none. */
export async function readWeather(sql: Sql): Promise<WeatherRun | null> {
  const rows: { on_date: string; tmin: number; tmax: number }[] = await sql('weather_day').orderBy('on_date');
  if (rows.length === 0) return null;
  let first = rows.length - 1;
  while (first > 0 && toDay(rows[first].on_date) - toDay(rows[first - 1].on_date) === 1) first--;
  const kept = rows.slice(first);
  return {
    from: toDay(kept[0].on_date),
    tmin: Float64Array.from(kept, (r) => r.tmin),
    tmax: Float64Array.from(kept, (r) => r.tmax),
  };
}

export async function insertWeather(sql: Sql, run: WeatherRun): Promise<void> {
  const rows = Array.from(run.tmin, (tmin, i) => ({
    on_date: toIso(run.from + i),
    tmin: Math.round(tmin * 10) / 10,
    tmax: Math.round(run.tmax[i] * 10) / 10,
  }));
  for (let i = 0; i < rows.length; i += 1000)
    await sql('weather_day')
      .insert(rows.slice(i, i + 1000))
      .onConflict('on_date')
      .ignore();
}
