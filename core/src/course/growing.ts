import type { Day } from '../calendar/index.ts';
import type { Context } from './types.ts';

type At = Pick<Context, 'book' | 'growing'>;

/** Growing seasons between two days: 1 for the whole of one from leaves out to leaves down. */
export function seasonsBetween(ctx: At, from: Day, to: Day): number {
  let sum = 0;
  const last = ctx.book.seasonOf(to);
  for (let y = ctx.book.seasonOf(from); y <= last; y++) {
    const g = ctx.growing(y);
    const days = Math.min(to, g.to) - Math.max(from, g.from);
    if (days > 0) sum += days / (g.to - g.from);
  }
  return sum;
}

/** First day on which this many growing seasons have passed since `from`. */
export function afterSeasons(ctx: At, from: Day, seasons: number): Day {
  let left = seasons;
  for (let y = ctx.book.seasonOf(from); ; y++) {
    const g = ctx.growing(y);
    const start = Math.max(from, g.from);
    const share = Math.max(0, (g.to - start) / (g.to - g.from));
    if (share >= left) return left <= 0 ? from : start + Math.ceil(left * (g.to - g.from));
    left -= share;
  }
}
