import type { Reading } from '@gonimos/core/station';
import type { Sql } from '../db/index.ts';

export async function insertReadings(sql: Sql, readings: Reading[]): Promise<void> {
  if (readings.length === 0) return;
  await sql('station_reading').insert(readings).onConflict('at').merge();
  // a day with nearly all its hours goes into the daily record, unless the record has it
  await sql.raw(
    `INSERT INTO weather_day (on_date, tmin, tmax)
     SELECT at::date, min(temperature), max(temperature) FROM station_reading
     WHERE at::date < (SELECT max(at)::date FROM station_reading) AND at >= ?::timestamp - interval '2 days'
     GROUP BY at::date HAVING count(*) >= 22
     ON CONFLICT (on_date) DO NOTHING`,
    [readings.at(-1)!.at],
  );
}

/** Readings of the 24 hours up to the end of a day, oldest first. */
export async function readReadings(sql: Sql, today: string): Promise<Reading[]> {
  const newest = await sql('station_reading')
    .whereRaw("at > ?::date - interval '1 day' AND at < ?::date + interval '1 day'", [today, today])
    .orderBy('at', 'desc')
    .limit(24)
    .select<Reading[]>(
      sql.raw(`to_char(at, 'YYYY-MM-DD"T"HH24:MI') AS at`),
      'temperature',
      'humidity',
      'wind',
      'gust',
      'rain',
    );
  return newest.reverse();
}
