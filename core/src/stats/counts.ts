/** Chances of counts: binomial, beta-binomial, and Fisher's exact test on a 2 × 2 table. */

const LANCZOS = [
  76.18009172947146, -86.50532032941677, 24.01409824083091, -1.231739572450155, 0.1208650973866179e-2,
  -0.5395239384953e-5,
];

/** Natural logarithm of the gamma function, x > 0. Lanczos 1964, relative error below 2·10⁻¹⁰ (from memory). */
export function logGamma(x: number): number {
  const t = x + 5.5;
  let sum = 1.000000000190015;
  LANCZOS.forEach((c, i) => (sum += c / (x + 1 + i)));
  return (x + 0.5) * Math.log(t) - t + Math.log((2.5066282746310005 * sum) / x);
}
const logChoose = (n: number, k: number) => logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);

function checkCounts(atLeast: number, n: number): void {
  if (!Number.isInteger(n) || n < 0 || !Number.isInteger(atLeast))
    throw new RangeError(`not counts: ${atLeast} of ${n}`);
}

/**
 * Masses of 0..n from the ratio of each to the one before, begun near the middle so that nothing overflows,
 * and made to sum to one.
 */
function massesOf(n: number, middle: number, ratio: (k: number) => number): Float64Array {
  const mass = new Float64Array(n + 1);
  const at = Math.min(n, Math.max(0, Math.round(middle)));
  mass[at] = 1;
  for (let k = at; k < n; k++) mass[k + 1] = mass[k] * ratio(k);
  for (let k = at; k > 0; k--) mass[k - 1] = mass[k] / ratio(k - 1);
  let total = 0;
  for (const m of mass) total += m;
  for (let k = 0; k <= n; k++) mass[k] /= total;
  return mass;
}

/** Sums the shorter side, so that P(X ≥ atLeast) keeps its small figures. */
function upper(atLeast: number, mass: Float64Array): number {
  if (atLeast <= 0) return 1;
  if (atLeast >= mass.length) return 0;
  const high = atLeast > mass.length / 2;
  let sum = 0;
  for (let k = high ? atLeast : 0; k < (high ? mass.length : atLeast); k++) sum += mass[k];
  return Math.min(1, high ? sum : 1 - sum);
}

/** P(X ≥ atLeast) of n plants that each make it with chance p on their own. Throws RangeError for no counts. */
export function binomialAtLeast(atLeast: number, n: number, p: number): number {
  checkCounts(atLeast, n);
  if (p <= 0) return atLeast <= 0 ? 1 : 0;
  if (p >= 1) return atLeast <= n ? 1 : 0;
  const odds = p / (1 - p);
  return upper(
    atLeast,
    massesOf(n, (n + 1) * p, (k) => ((n - k) / (k + 1)) * odds),
  );
}

/** A share that differs between batches: mean, and the correlation ρ of plants that share a batch. */
export interface Shared {
  mean: number;
  rho: number;
}

/**
 * Masses of 0..n plants that make it when those of a batch share their fate: the chance is drawn from a beta
 * distribution of this mean with a + b = 1/ρ − 1. ρ = 0 is the plain binomial; a mean of 0 or 1 is certain.
 */
export function sharedMasses(n: number, { mean, rho }: Shared): Float64Array {
  checkCounts(0, n);
  if (mean <= 0 || mean >= 1) {
    const sure = new Float64Array(n + 1);
    sure[mean <= 0 ? 0 : n] = 1;
    return sure;
  }
  if (rho < 1e-9) {
    const odds = mean / (1 - mean);
    return massesOf(n, (n + 1) * mean, (k) => ((n - k) / (k + 1)) * odds);
  }
  const [a, b] = betaOf({ mean, rho });
  const middle = a > 1 && b > 1 ? (n * (a - 1)) / (a + b - 2) : n * mean;
  return massesOf(n, middle, (k) => (((n - k) / (k + 1)) * (k + a)) / (n - k - 1 + b));
}

/** P(X ≥ atLeast) of n plants of one batch. Throws RangeError for no counts. */
export function betaBinomialAtLeast(atLeast: number, n: number, share: Shared): number {
  checkCounts(atLeast, n);
  return upper(atLeast, sharedMasses(n, share));
}

/** The two parameters of the beta distribution of a mean and a within-batch correlation. */
export const betaOf = ({ mean, rho }: Shared): [a: number, b: number] => {
  const size = 1 / rho - 1;
  return [mean * size, (1 - mean) * size];
};

/**
 * Smallest n, from `atLeast` up to `most`, at which `reaches(n)` is `confidence` or more; null when none is.
 * `reaches` must not fall with n.
 */
export function smallestCount(
  atLeast: number,
  most: number,
  confidence: number,
  reaches: (n: number) => number,
): number | null {
  if (most < atLeast || reaches(most) < confidence) return null;
  let low = atLeast;
  let high = most;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (reaches(mid) >= confidence) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** Quantile of the count among n plants of one batch: the smallest k with P(X ≤ k) ≥ q. */
export function sharedQuantile(q: number, n: number, share: Shared): number {
  const mass = sharedMasses(n, share);
  let sum = 0;
  for (let k = 0; k <= n; k++) if ((sum += mass[k]) >= q) return k;
  return n;
}

/**
 * Fisher's exact test, two-sided, of the table [[a, b], [c, d]]: the chance, margins given, of any table no
 * likelier than this one. Source: Fisher 1935; R's `fisher.test` sums the same way.
 */
export function fisherExact(a: number, b: number, c: number, d: number): number {
  for (const x of [a, b, c, d])
    if (!Number.isInteger(x) || x < 0) throw new RangeError(`not a table of counts: ${a} ${b} ${c} ${d}`);
  const row = a + b;
  const col = a + c;
  const n = a + b + c + d;
  const logMass = (x: number) => logChoose(col, x) + logChoose(n - col, row - x) - logChoose(n, row);
  const here = logMass(a);
  let p = 0;
  for (let x = Math.max(0, row + col - n); x <= Math.min(row, col); x++)
    if (logMass(x) <= here + 1e-7) p += Math.exp(logMass(x));
  return Math.min(1, p);
}

/**
 * Correlation ρ of plants within a batch from k of n in each, by analysis of variance, kept within 0 to 0.6;
 * null with fewer than two batches. Source: Donner 1986, Int. Stat. Review 54:67–82 (from memory).
 */
export function withinCorrelation(batches: readonly { k: number; n: number }[]): number | null {
  const used = batches.filter((b) => b.n > 0);
  const total = used.reduce((s, b) => s + b.n, 0);
  if (used.length < 2 || total <= used.length) return null;
  const mean = used.reduce((s, b) => s + b.k, 0) / total;
  const between = used.reduce((s, b) => s + b.n * (b.k / b.n - mean) ** 2, 0) / (used.length - 1);
  const within = used.reduce((s, b) => s + (b.k * (b.n - b.k)) / b.n, 0) / (total - used.length);
  const size = (total - used.reduce((s, b) => s + b.n * b.n, 0) / total) / (used.length - 1);
  const spread = between + (size - 1) * within;
  return spread === 0 ? 0 : Math.min(0.6, Math.max(0, (between - within) / spread));
}
