import { CLIMATE_ROWS } from '../../data/climates.ts';
import type { Site } from '../season/climate.ts';

/** A typical climate to begin a nursery from: a site without its longitude and time zone. */
export interface TypicalClimate extends Omit<Site, 'longitude' | 'timeZone'> {
  id: string;
  name: string;
  /** where in the world such a climate is found */
  found: string;
  wetFrom: number | null;
}

export const TYPICAL_CLIMATES: readonly TypicalClimate[] = CLIMATE_ROWS.map(
  ([id, name, found, latitude, elevation, tmin, tmax, [spreadWinter, spreadSummer], wetFrom = null]) => ({
    id,
    name,
    found,
    latitude,
    elevation,
    tmin,
    tmax,
    spreadWinter,
    spreadSummer,
    wetFrom,
  }),
);

/** Months are those of the other half of the world where the warmest and coldest differ by this much, °C. */
const SURE_BY = 3;
/** Nearer to the equator than this the year has no warm half to tell it by, degrees. */
const TROPICS = 15;

/** Whether the warm months lie in the wrong half of the year for the latitude; null when all is well. */
export function wrongHemisphere(site: Pick<Site, 'latitude' | 'tmin' | 'tmax'>): string | null {
  if (Math.abs(site.latitude) < TROPICS || site.tmin.length !== 12 || site.tmax.length !== 12) return null;
  const mean = (months: number[]) =>
    months.reduce((s, m) => s + (site.tmin[m] + site.tmax[m]) / 2, 0) / months.length;
  const january = mean([11, 0, 1]);
  const july = mean([5, 6, 7]);
  const north = site.latitude > 0;
  if ((north ? january - july : july - january) <= SURE_BY) return null;
  return north
    ? 'is north of the equator, but the warm months are those of the south'
    : 'is south of the equator, but the warm months are those of the north';
}
