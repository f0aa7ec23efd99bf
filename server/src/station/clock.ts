import type { Reading } from '@gonimos/core/station';

/** A station's clock may be this far ahead of ours, and a reading this old is history. */
const AHEAD_MS = 10 * 60_000;
const OLD_MS = 3 * 86_400_000;
const SILENT_MS = 3 * 3_600_000;

const ms = (at: string): number => Date.parse(`${at}:00Z`);

/** Minutes and days as somebody would say how far a clock is off. */
function span(by: number): string {
  const minutes = Math.round(by / 60_000);
  if (minutes < 90) return `${minutes} min`;
  return minutes < 36 * 60 ? `${Math.round(minutes / 60)} h` : `${Math.round(minutes / 1440)} days`;
}

/**
 * The readings that can be believed by the clock of the nursery, and what is wrong with the others.
 *
 * @param now the minute it is at the nursery, as readings write it
 */
export function believable(
  readings: readonly Reading[],
  now: string,
): { good: Reading[]; trouble: string | null } {
  const here = ms(now);
  const future = readings.filter((r) => ms(r.at) > here + AHEAD_MS);
  const good = readings.filter((r) => ms(r.at) <= here + AHEAD_MS && ms(r.at) > here - OLD_MS);
  const last = Math.max(...readings.map((r) => ms(r.at)));
  if (future.length > 0)
    return {
      good,
      trouble: `Its clock is ${span(last - here)} ahead: ${future.length} readings of the future were left out`,
    };
  if (readings.length > 0 && here - last > SILENT_MS)
    return {
      good,
      trouble: `Its last reading is ${span(here - last)} old: it is silent, or its clock is behind`,
    };
  return { good, trouble: null };
}
