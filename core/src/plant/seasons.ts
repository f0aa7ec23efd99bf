import type { Day } from '../calendar/index.ts';

/** The growing seasons a plant lives through: from leaves out to leaves down, or the warm season. */
export interface Seasons {
  seasonOf(day: Day): number;
  span(season: number): { from: Day; to: Day };
  growing(season: number): { from: Day; to: Day };
}

/** Growing seasons between two days: 1 for the whole of one. */
export function seasonsBetween(at: Seasons, from: Day, to: Day): number {
  let sum = 0;
  const last = at.seasonOf(to);
  for (let y = at.seasonOf(from); y <= last; y++) {
    const g = at.growing(y);
    const days = Math.min(to, g.to) - Math.max(from, g.from);
    if (days > 0) sum += days / (g.to - g.from);
  }
  return sum;
}

/** Share of a season's wood laid down when this share of its days has passed: slow at both ends. */
const laidDown = (u: number) => u * u * (3 - 2 * u);

/** Share of a season's wood that is laid down by a day of it. */
const laidDownBy = (g: { from: Day; to: Day }, day: Day): number =>
  laidDown(Math.min(1, Math.max(0, (day - g.from) / (g.to - g.from))));

/** As `seasonsBetween`, weighed by when in a season wood is laid down. */
export function growthBetween(at: Seasons, from: Day, to: Day): number {
  let sum = 0;
  const last = at.seasonOf(to);
  for (let y = at.seasonOf(from); y <= last; y++) {
    const g = at.growing(y);
    sum += laidDownBy(g, to) - laidDownBy(g, from);
  }
  return sum;
}

/** First day on which this many growing seasons have passed since `from`. */
export function afterSeasons(at: Seasons, from: Day, seasons: number): Day {
  let left = seasons;
  for (let y = at.seasonOf(from); ; y++) {
    const g = at.growing(y);
    const start = Math.max(from, g.from);
    const share = Math.max(0, (g.to - start) / (g.to - g.from));
    if (share >= left) return left <= 0 ? from : start + Math.ceil(left * (g.to - g.from));
    left -= share;
  }
}
