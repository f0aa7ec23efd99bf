/**
 * Degree days of one day above a lower threshold, °C·d, by the single sine:
 * Baskerville & Emin 1969, Ecology 50:514–517.
 * Throws RangeError when the maximum is below the minimum.
 */
export function degreeDays(tmin: number, tmax: number, base: number): number {
  if (tmax < tmin) throw new RangeError(`maximum ${tmax} below minimum ${tmin}`);
  if (tmax <= base) return 0;
  const mean = (tmin + tmax) / 2;
  if (tmin >= base) return mean - base;
  const half = (tmax - tmin) / 2;
  const theta = Math.asin((base - mean) / half);
  return ((mean - base) * (Math.PI / 2 - theta) + half * Math.cos(theta)) / Math.PI;
}
