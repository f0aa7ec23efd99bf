import type { Reading, Warning } from '@gonimos/core/station';
import { number, object, string, array } from 'yup';

/**
 * What a weather station answers at its address: readings of the last 24 hours, oldest first.
 * GET <address> → { "station": name, "readings": [{ "at": "2037-03-09T08:00" local, "temperature": °C,
 * "humidity": %, "wind": m/s, "gust": m/s, "rain": mm in the hour before }] }
 */
export const stationAnswer = object({
  station: string().max(80).required(),
  readings: array(
    object({
      at: string()
        .matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/)
        .required(),
      temperature: number().min(-70).max(65).required(),
      humidity: number().min(0).max(100).required(),
      wind: number().min(0).max(120).required(),
      gust: number().min(0).max(150).required(),
      rain: number().min(0).max(500).required(),
    }),
  )
    .max(2000)
    .required(),
});

export interface StationNow {
  /** null: no station is set */
  station: string | null;
  /** what is wrong with its answer or its clock, in words */
  trouble: string | null;
  latest: Reading | null;
  readings: Reading[];
  low: number | null;
  high: number | null;
  warnings: Warning[];
}
