/** Points with their sign, to a tenth. @example points(-0.42) // '−0.4' */
export function points(p: number): string {
  const tenths = Math.round(p * 10) / 10;
  if (tenths === 0) return '0';
  return `${tenths < 0 ? '−' : '+'}${Math.abs(tenths).toFixed(1)}`;
}
