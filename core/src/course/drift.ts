import { daysBetween, type IsoDate } from '../calendar/index.ts';
import type { PlannedStep } from './types.ts';

/** By how many days a step may shift that opens so far ahead, the furthest first. */
type Tolerance = readonly { readonly ahead: number; readonly days: number }[];

/**
 * From so many days ahead a step's window is an estimate that spreads over weeks; a day's weather that shifts it by
 * so little changes nothing yet. More than a year ahead even the season is one: growth that just about reaches a
 * size in autumn puts a chop into this year or the next, and would change its mind every day.
 */
const DRIFT: Tolerance = [
  { ahead: 400, days: Infinity },
  { ahead: 240, days: 3 },
  { ahead: 30, days: 1 },
];
const FAR_DAYS = DRIFT[DRIFT.length - 1].ahead;

/** Whatever moved them: shifts that are not worth a word. */
const NO_NEWS: Tolerance = [
  { ahead: 730, days: 7 },
  { ahead: 240, days: 3 },
  { ahead: 60, days: 1 },
];

type Opens = Pick<PlannedStep, 'opens'>;

/** Days by which a step may shift that opens so far ahead; 0 where it is near. */
const mayShift = (of: Tolerance, s: Opens, today: IsoDate): number =>
  s.opens === null ? 0 : (of.find((d) => daysBetween(today, s.opens!) > d.ahead)?.days ?? 0);

/** What is compared of a step to tell whether it has only drifted. */
export type Drifting = Pick<
  PlannedStep,
  | 'key'
  | 'title'
  | 'status'
  | 'chain'
  | 'container'
  | 'ready'
  | 'minutes'
  | 'opens'
  | 'closes'
  | 'target'
  | 'waits'
>;

/** Whether a step lies so far ahead that its window is an estimate. */
const isFar = (s: Pick<PlannedStep, 'status' | 'opens'>, today: IsoDate): boolean =>
  s.status === 'planned' && s.opens !== null && daysBetween(today, s.opens) > FAR_DAYS;

const near = (a: IsoDate | null, b: IsoDate | null, by: number): boolean =>
  a === b || (a !== null && b !== null && Math.abs(daysBetween(a, b)) <= by);

/** Whether two windows are the same but for so many days. */
const within = (
  a: Pick<PlannedStep, 'opens' | 'closes'>,
  b: Pick<PlannedStep, 'opens' | 'closes'>,
  days: number,
): boolean => near(a.opens, b.opens, days) && near(a.closes, b.closes, days);

const sameWaits = (a: Drifting['waits'], b: Drifting['waits'], days: number): boolean =>
  a.length === b.length && a.every((w, i) => w.key === b[i].key && Math.abs(w.days - b[i].days) <= days);

/** Whether nothing is to be done any more of a step. */
export const isOver = ({ status }: Pick<PlannedStep, 'status'>): boolean =>
  status === 'done' || status === 'dropped' || status === 'lapsed';

/**
 * Whether a step is over as it was, has no date and gets none, or lies far ahead and is what it was but for its
 * drift, of its own window and of what it waits for; only asked where nothing but the day and its weather has changed.
 */
export const onlyDrifted = (was: Drifting, now: Drifting, today: IsoDate): boolean =>
  (isOver(was) && was.status === now.status) || staysDateless(was, now) || driftsFarAhead(was, now, today);

const sameWork = (a: Drifting, b: Drifting): boolean =>
  a.title === b.title &&
  a.chain === b.chain &&
  a.container === b.container &&
  a.ready === b.ready &&
  a.minutes === b.minutes;

/** What keeps a step from a date is told anew with the month; a day's weather is no news of it. */
const staysDateless = (was: Drifting, now: Drifting): boolean =>
  was.status === 'none' &&
  now.status === 'none' &&
  sameWork(was, now) &&
  sameWaits(was.waits, now.waits, Infinity);

function driftsFarAhead(was: Drifting, now: Drifting, today: IsoDate): boolean {
  if (!isFar(was, today) || !isFar(now, today)) return false;
  const days = mayShift(DRIFT, now, today);
  return (
    within(was, now, days) &&
    near(was.target, now.target, days) &&
    sameWork(was, now) &&
    sameWaits(was.waits, now.waits, days)
  );
}

/** Whether a step lies so far ahead that so small a shift of its window is no news, whatever moved it. */
export const isNoNews = (
  was: Pick<PlannedStep, 'status' | 'opens' | 'closes'>,
  now: Pick<PlannedStep, 'opens' | 'closes'>,
  today: IsoDate,
): boolean => isFar(was, today) && within(was, now, mayShift(NO_NEWS, now, today));
