import type { SeasonMarkers } from '@gonimos/core/season';

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
  recent: { day: string; tmin: number; tmax: number }[];
}
