/** A share with its interval; `n` is what it was taken from. */
export interface Share {
  value: number;
  low: number;
  high: number;
  k: number;
  n: number;
}

const Z95 = 1.959963984540054;

/**
 * Wilson score interval for k successes of n, 95 % by default.
 * Source: Wilson 1927; method 3 of Newcombe 1998, Statistics in Medicine 17:857–872.
 * Returns null for n = 0; throws RangeError unless 0 ≤ k ≤ n.
 */
export function wilson(k: number, n: number, z = Z95): Share | null {
  if (!(k >= 0 && k <= n)) throw new RangeError(`not a share: ${k} of ${n}`);
  if (n === 0) return null;
  const p = k / n;
  const z2 = z * z;
  const centre = p + z2 / (2 * n);
  const half = z * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n));
  const scale = 1 + z2 / n;
  return {
    value: p,
    low: Math.max(0, (centre - half) / scale),
    high: Math.min(1, (centre + half) / scale),
    k,
    n,
  };
}

/** The q-quantile (0..1) of an ascending list, linear between neighbours. */
export function quantile(sorted: ArrayLike<number>, q: number): number {
  const at = (sorted.length - 1) * q;
  const i = Math.floor(at);
  const a = sorted[i];
  const b = sorted[Math.min(i + 1, sorted.length - 1)];
  return a === b ? a : a + (b - a) * (at - i);
}

/**
 * Quantile of the standard normal distribution, 0 < p < 1, by bisection on the error function series.
 * Abramowitz & Stegun 26.2.17 for the distribution function (absolute error below 7.5·10⁻⁸; from memory).
 */
export function normalQuantile(p: number): number {
  let low = -8;
  let high = 8;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (normalShare(mid) < p) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Share of the standard normal distribution below z. */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z < 0 ? tail : 1 - tail;
}

/** Arithmetic mean, in the unit of the values; null of none. */
export const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, v) => sum + v, 0) / values.length;

/** Standard deviation of a sample (n − 1); null for fewer than two. */
export function spreadOf(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const m = mean(values)!;
  return Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1));
}

export * from './circular.ts';
export * from './counts.ts';
export * from './fit.ts';
export * from './outliers.ts';
export * from './sample.ts';
