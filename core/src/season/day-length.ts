import { dayOf, yearOf, type Day } from '../calendar/index.ts';

const RAD = Math.PI / 180;
/** centre of the sun at rise and set: refraction 34′ and solar radius 16′ below the horizon */
const HORIZON = -0.833;

/** Solar declination at noon UTC, radians. Spencer 1971 series, as given by NOAA's solar equations. */
export function declination(day: Day): number {
  const g = (2 * Math.PI * (day - dayOf(yearOf(day), 1, 1) + 0.5)) / 365;
  return (
    0.006918 -
    0.399912 * Math.cos(g) +
    0.070257 * Math.sin(g) -
    0.006758 * Math.cos(2 * g) +
    0.000907 * Math.sin(2 * g) -
    0.002697 * Math.cos(3 * g) +
    0.00148 * Math.sin(3 * g)
  );
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
