import { daysBetween, type IsoDate } from '../calendar/index.ts';

/** So many came up, found on a day. */
export interface Came {
  on: IsoDate;
  count: number;
}

export interface EmergencePoint {
  on: IsoDate;
  /** days since sowing */
  day: number;
  up: number;
  /** of what was sown, 0..1 */
  share: number;
}

export interface EmergenceCurve {
  points: EmergencePoint[];
  up: number;
  sown: number;
  /** days from sowing to half of those that came up; null before two counts */
  t50: number | null;
  /** mean days from sowing of those that came up */
  mean: number | null;
}

/**
 * Emergence over time of one sowing. t50 by Coolbear, Francis & Grierson 1984, J. Exp. Botany 35:1609–1617:
 * linear between the counts on either side of (N + 1)/2, N being all that came up. Counts before the sowing
 * throw RangeError.
 */
export function emergenceCurve(sownOn: IsoDate, sown: number, came: readonly Came[]): EmergenceCurve {
  const byDay = new Map<IsoDate, number>();
  for (const c of came) byDay.set(c.on, (byDay.get(c.on) ?? 0) + c.count);
  const points: EmergencePoint[] = [];
  let up = 0;
  let days = 0;
  for (const [on, count] of [...byDay].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const day = daysBetween(sownOn, on);
    if (day < 0) throw new RangeError(`up on ${on}, before it was sown`);
    up += count;
    days += day * count;
    points.push({ on, day, up, share: sown === 0 ? 0 : up / sown });
  }
  return { points, up, sown, t50: halfTime(points, up), mean: up === 0 ? null : days / up };
}

function halfTime(points: readonly EmergencePoint[], up: number): number | null {
  if (up === 0) return null;
  const half = (up + 1) / 2;
  const j = points.findIndex((p) => p.up >= half);
  const before = j > 0 ? points[j - 1] : { day: 0, up: 0 };
  const after = points[j];
  if (!after || after.up === before.up) return null;
  return before.day + ((half - before.up) / (after.up - before.up)) * (after.day - before.day);
}
