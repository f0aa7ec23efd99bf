/** From so many values on, one of them can be told to stand apart. */
const FEWEST = 5;
/** Modified z-score beyond which a value is labelled. */
const LABELLED = 3.5;

function medianOf(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const half = sorted.length / 2;
  return (sorted[Math.ceil(half) - 1] + sorted[Math.floor(half)]) / 2;
}

/**
 * Values that stand apart from the others: modified z-score 0.6745·(x − median) ÷ MAD beyond 3.5 either way, MAD the
 * median distance from the median. Iglewicz & Hoaglin 1993, How to Detect and Handle Outliers, from memory.
 * `least`: distance from the median under which nothing stands apart, in the unit of the values, for samples so
 * alike that their MAD says nothing. None of fewer than five values.
 *
 * @example outliersOf([2.1, 2.6, 2.4, 2.5, 2.3, 2.1, 2.3, 2.6, 8.2, 8.3]) // [8.2, 8.3]
 */
export function outliersOf(values: readonly number[], least = 0): number[] {
  if (values.length < FEWEST) return [];
  const middle = medianOf(values);
  const mad = medianOf(values.map((x) => Math.abs(x - middle)));
  const far = Math.max(least, (LABELLED * mad) / 0.6745);
  return values.filter((x) => Math.abs(x - middle) > far);
}
