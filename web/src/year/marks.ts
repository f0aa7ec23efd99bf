/** Where the weeks of a year stand in their picture: lines of few marks, for a page draws hundreds of them slowly. */
import { scaleLinear } from 'd3-scale';
import type { WeekLoad } from '@gonimos/core/year';

export interface MarksAsked {
  load: readonly WeekLoad[];
  /** person-minutes of each week, of all and of those with practice */
  capacity: { all: readonly number[]; skilled: readonly number[] };
  /** px: edges of the weeks, and the heights of the top and of nought */
  left: number;
  right: number;
  top: number;
  foot: number;
}

/** Outlines as paths, px. */
export interface Marks {
  /** height of so many hours; `most` of them at the top */
  y: ReturnType<typeof scaleLinear<number>>;
  most: number;
  /** left edge of a week, the room of one, and the width of its bar */
  x: (week: number) => number;
  room: number;
  bar: number;
  /** work that wants practice, all that there are hours for, and what is too many */
  practice: string;
  anybody: string;
  over: string;
  /** hours there are: of all, and of those with practice */
  hours: string;
  practised: string;
  /** weeks whose work goes beyond the top */
  beyond: number[];
}

const hours = (minutes: number) => minutes / 60;

/** Hours at the top: a single huge week must not flatten the rest. */
function topOf({ load, capacity }: MarksAsked): number {
  const sorted = load.map((l) => hours(l.all)).toSorted((a, b) => a - b);
  const full = sorted[Math.floor(sorted.length * 0.97)] ?? 0;
  return Math.max(10, hours(Math.max(...capacity.all)) * 1.3, full * 1.05);
}

/** Lays the weeks out: bars of work one over the other, and lines of the hours there are. */
export function marksOf(asked: MarksAsked): Marks {
  const { load, capacity, left, right, top, foot } = asked;
  const most = topOf(asked);
  const y = scaleLinear([0, most], [foot, top]).clamp(true);
  const room = (right - left) / load.length;
  const x = (week: number) => left + week * room;
  const bar = Math.max(3, room - (right > 700 ? 4 : 1.5));
  const block = (week: number, from: number, to: number, least = 0) => {
    const low = y(hours(from));
    const height = Math.max(least, low - y(hours(to)));
    return height > 0 ? `M${x(week) + 1} ${low}v${-height}h${bar}v${height}z` : '';
  };
  const line = (minutes: readonly number[]) =>
    minutes.map((m, w) => `${w === 0 ? 'M' : 'L'}${x(w)} ${y(hours(m))}H${x(w + 1)}`).join('');
  const blocks = (of: (l: WeekLoad, week: number) => string) => load.map(of).join('');
  return {
    y,
    most,
    x,
    room,
    bar,
    practice: blocks((l, w) => block(w, 0, Math.min(l.skilled, l.all))),
    anybody: blocks((l, w) => block(w, 0, Math.min(l.all, capacity.all[w]))),
    over: blocks((l, w) => (l.all > capacity.all[w] ? block(w, capacity.all[w], l.all, 2) : '')),
    hours: line(capacity.all),
    practised: line(capacity.skilled),
    beyond: load.flatMap((l, w) => (hours(l.all) > most ? [w] : [])),
  };
}
