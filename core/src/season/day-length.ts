import { dayOf, type Day } from '../calendar/index.ts';

const RAD = Math.PI / 180;
/** centre of the sun at rise and set: refraction 34′ and solar radius 16′ below the horizon */
const HORIZON = -0.833;
const J2000 = dayOf(2000, 1, 1) + 0.5;

/**
 * Solar declination at noon UTC, radians, from the sun's mean longitude and anomaly counted since 2000, so
 * that leap years and the slow drift of the equinoxes are kept. Low-precision formula of the Astronomical
 * Almanac, good to 0.01° between 1950 and 2050 (from memory).
 */
export function declination(day: Day): number {
  const n = day + 0.5 - J2000;
  const mean = (280.46 + 0.9856474 * n) * RAD;
  const anomaly = (357.528 + 0.9856003 * n) * RAD;
  const longitude = mean + (1.915 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly)) * RAD;
  const obliquity = (23.439 - 0.0000004 * n) * RAD;
  return Math.asin(Math.sin(obliquity) * Math.sin(longitude));
}

/** Hours from sunrise to sunset at a latitude in degrees; 0 in polar night, 24 in polar day. */
export function dayLength(latitude: number, day: Day): number {
  const dec = declination(day);
  const lat = latitude * RAD;
  const cos = (Math.sin(HORIZON * RAD) - Math.sin(lat) * Math.sin(dec)) / (Math.cos(lat) * Math.cos(dec));
  if (cos >= 1) return 0;
  if (cos <= -1) return 24;
  return (2 * Math.acos(cos)) / RAD / 15;
}
