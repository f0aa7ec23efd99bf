import { daysBetween, type IsoDate } from '../calendar/index.ts';
import type { PlannedStep } from './types.ts';

/**
 * From so many days ahead a step's window is an estimate that spreads over weeks; a day's weather that shifts it by
 * a day says nothing yet.
 */
const FAR_DAYS = 60;
const DRIFT_DAYS = 1;

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

/** Whether a step lies so far ahead that a day's shift of it is no news. */
export const isFar = (s: Pick<PlannedStep, 'status' | 'opens'>, today: IsoDate): boolean =>
  s.status === 'planned' && s.opens !== null && daysBetween(today, s.opens) > FAR_DAYS;

const near = (a: IsoDate | null, b: IsoDate | null): boolean =>
  a === b || (a !== null && b !== null && Math.abs(daysBetween(a, b)) <= DRIFT_DAYS);

/** Whether two windows are the same but for a day. */
export const withinADay = (
  a: Pick<PlannedStep, 'opens' | 'closes'>,
  b: Pick<PlannedStep, 'opens' | 'closes'>,
): boolean => near(a.opens, b.opens) && near(a.closes, b.closes);

const sameWaits = (a: Drifting['waits'], b: Drifting['waits']): boolean =>
  a.length === b.length &&
  a.every((w, i) => w.key === b[i].key && Math.abs(w.days - b[i].days) <= DRIFT_DAYS);

const isOver = (s: Pick<PlannedStep, 'status'>): boolean => s.status === 'done' || s.status === 'dropped';

/**
 * Whether a step is over as it was, or lies far ahead and is what it was but for a day's drift, of its own window and
 * of what it waits for; only asked where nothing but the day and its weather has changed.
 */
export const onlyDrifted = (was: Drifting, now: Drifting, today: IsoDate): boolean =>
  (isOver(was) && was.status === now.status) || driftsFarAhead(was, now, today);

const driftsFarAhead = (was: Drifting, now: Drifting, today: IsoDate): boolean =>
  isFar(was, today) &&
  isFar(now, today) &&
  withinADay(was, now) &&
  near(was.target, now.target) &&
  was.title === now.title &&
  was.chain === now.chain &&
  was.container === now.container &&
  was.ready === now.ready &&
  was.minutes === now.minutes &&
  sameWaits(was.waits, now.waits);
