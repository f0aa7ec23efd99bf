import type { FrostClass, Outlook, SeasonMarkers } from '@gonimos/core/season';
import type { ObservationRow } from './observations.ts';
import { string, boolean, type InferType } from 'yup';
import { body, id } from './fields.ts';

export interface SeasonOfPlace {
  placeId: string;
  year: number;
  from: string;
  to: string;
  today: string;
  markers: SeasonMarkers;
  /** last day of the weather record, null when there is none */
  recordTo: string | null;
  /** day-by-day normals of the place, °C, one value a week */
  weekly: { day: string; tmin: number; tmax: number; dayLength: number }[];
  /** ordinary band of the place, °C: eight nights and days of ten lie inside; one value a week */
  band: { day: string; low: number; high: number }[];
  /** the record at this place, this season */
  record: { day: string; tmin: number; tmax: number }[];
  /** running sums at this place for this season and up to four before: one value a week */
  sums: { year: number; from: string; degreeDays: number[]; chill: number[] }[];
  /** the ten days ahead */
  ahead: ({ day: string } & Outlook)[];
  frost: {
    class: FrostClass;
    coldest: number;
    first: { p02: string; p10: string; p50: string; p90: string; share: number } | null;
    last: { p02: string; p10: string; p50: string; p90: string; share: number } | null;
  };
  seen: ObservationRow[];
  recent: { day: string; tmin: number; tmax: number }[];
}

/** A daily record as CSV: date,tmin,tmax; faults line by line first, written when confirmed. */
export const importWeather = body({
  id: id(),
  csv: string().required('is missing').max(2_000_000, 'is too long'),
  confirm: boolean().default(false),
});
export type ImportWeather = InferType<typeof importWeather>;
export interface WeatherReport {
  days: number;
  from: string | null;
  to: string | null;
  faults: { line: number; field: string; reason: string }[];
  /** days that differ from what the record holds and would be replaced */
  replaced: number;
  written: number;
}
