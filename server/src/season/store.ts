import { toDay, toIso } from '@gonimos/core/calendar';
import type { WeatherRun } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { asColumns } from '../db/names.ts';

/** The outdoor weather record up to its end, back to the last gap; null when there is none. */
export async function readWeather(sql: Sql): Promise<WeatherRun | null> {
  const rows: { onDate: string; tmin: number; tmax: number }[] = await sql('weather_day').orderBy('onDate');
  if (rows.length === 0) return null;
  let first = rows.length - 1;
  while (first > 0 && toDay(rows[first].onDate) - toDay(rows[first - 1].onDate) === 1) first--;
  const kept = rows.slice(first);
  return {
    from: toDay(kept[0].onDate),
    tmin: Float64Array.from(kept, (r) => r.tmin),
    tmax: Float64Array.from(kept, (r) => r.tmax),
  };
}

export async function insertWeather(sql: Sql, run: WeatherRun): Promise<void> {
  const rows = Array.from(run.tmin, (tmin, i) => ({
    onDate: toIso(run.from + i),
    tmin: Math.round(tmin * 10) / 10,
    tmax: Math.round(run.tmax[i] * 10) / 10,
  }));
  for (let i = 0; i < rows.length; i += 1000)
    await sql('weather_day')
      .insert(rows.slice(i, i + 1000))
      .onConflict('onDate')
      .ignore();
}

/** Changes whenever any day of the record does: its end, its length and the sum of its temperatures. */
export async function recordState(sql: Sql): Promise<string> {
  const row = await sql('weather_day')
    .select(
      sql.raw(
        "coalesce(max(on_date)::text, '') || ' ' || count(*) || ' ' || coalesce(sum(tmin + 3 * tmax), 0)::numeric(12, 1) AS state",
      ),
    )
    .first<{ state: string }>();
  return row.state;
}

type Day = { onDate: string; tmin: number; tmax: number };

/** Days on record that say something else. */
export async function differing(sql: Sql, days: Day[]): Promise<number> {
  const { rows } = await sql.raw<{ rows: { n: number }[] }>(
    `SELECT count(*)::int AS n FROM jsonb_to_recordset(?) AS d(on_date date, tmin float, tmax float)
     JOIN weather_day w USING (on_date) WHERE abs(w.tmin - d.tmin) > 0.05 OR abs(w.tmax - d.tmax) > 0.05`,
    [JSON.stringify(days.map(asColumns))],
  );
  return rows[0].n;
}

export async function replaceWeather(sql: Sql, days: Day[]): Promise<number> {
  for (let i = 0; i < days.length; i += 1000)
    await sql('weather_day')
      .insert(days.slice(i, i + 1000))
      .onConflict('onDate')
      .merge();
  return days.length;
}
