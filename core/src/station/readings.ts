import { toDay, toIso, type Day } from '../calendar/index.ts';
import { random, seedFrom } from '../random/index.ts';

/** One reading of a weather station. Times are local to the station, `YYYY-MM-DDTHH:MM`. */
export interface Reading {
  at: string;
  /** air temperature, °C */
  temperature: number;
  /** relative humidity, % */
  humidity: number;
  /** mean wind of the last ten minutes, m/s, and the strongest gust */
  wind: number;
  gust: number;
  /** rain in the hour before, mm */
  rain: number;
}

const COLDEST_HOUR = 5;
const WARMEST_HOUR = 14;
const round = (x: number) => Math.round(x * 10) / 10;

/** Temperature at an hour from the night before, the day, and the night after: two half cosines. */
export function temperatureAt(hour: number, low: number, high: number, nextLow: number): number {
  const wave = (t: number) => (1 - Math.cos(Math.PI * t)) / 2;
  if (hour >= COLDEST_HOUR && hour <= WARMEST_HOUR)
    return low + (high - low) * wave((hour - COLDEST_HOUR) / (WARMEST_HOUR - COLDEST_HOUR));
  const since = hour > WARMEST_HOUR ? hour - WARMEST_HOUR : hour + 24 - WARMEST_HOUR;
  const end = hour > WARMEST_HOUR ? nextLow : low;
  return high + (end - high) * wave(since / (24 - WARMEST_HOUR + COLDEST_HOUR));
}

/** Minimum and maximum of a day, °C; null when nothing is known of it. */
export type DayOf = (day: Day) => { tmin: number; tmax: number } | null;

/** A simulated reading of one hour: the day's temperatures, with seeded humidity, wind and rain. */
export function simulatedReading(dayOf: DayOf, day: Day, hour: number, seed: number): Reading | null {
  const today = dayOf(day);
  const before = dayOf(day - 1);
  const after = dayOf(day + 1);
  if (!today) return null;
  const high = hour < COLDEST_HOUR ? (before ?? today).tmax : today.tmax;
  const temperature = temperatureAt(hour, today.tmin, high, (after ?? today).tmin);
  const daily = random(seedFrom(`${seed} ${day}`));
  const windy = Math.exp(0.6 + 0.7 * daily.normal());
  const wet = daily.next() < 0.3 ? daily.next() * 2 : 0;
  const rng = random(seedFrom(`${seed} ${day} ${hour}`));
  const breeze = 1 + 0.5 * Math.sin((Math.PI * (hour - 6)) / 12);
  const wind = Math.max(0, windy * breeze * (1 + 0.15 * rng.normal()));
  const dry = (temperature - today.tmin) / Math.max(2, today.tmax - today.tmin);
  return {
    at: `${toIso(day)}T${String(hour).padStart(2, '0')}:00`,
    temperature: round(temperature),
    humidity: Math.round(Math.min(100, Math.max(25, 92 - 40 * dry + 4 * rng.normal() + (wet > 0 ? 6 : 0)))),
    wind: round(wind),
    gust: round(wind * (1.5 + 0.2 * Math.abs(rng.normal()))),
    rain: rng.next() < 0.4 ? round(wet) : 0,
  };
}

/** The last 24 hours up to an hour, oldest first. */
export function lastDay(dayOf: DayOf, on: string, hour: number, seed: number): Reading[] {
  const day = toDay(on);
  return Array.from({ length: 24 }, (_, i) => {
    const at = hour - 23 + i;
    return simulatedReading(dayOf, at < 0 ? day - 1 : day, (at + 24) % 24, seed);
  }).filter((r): r is Reading => r !== null);
}
