/** A minute above what the people can give costs as much as this in the objective. */
export const OVERLOAD_COST = 10;
/** A step larger than this share of an ordinary week may be done over two weeks, a quarter of it or more in each. */
export const SPLIT_ABOVE = 0.25;
/** Shares of a step that may be left for the week after, in quarters. */
export const QUARTERS = 4;

/** Work that falls so many weeks after the step itself, such as its aftercare. */
export interface Trail {
  weeks: number;
  minutes: number;
  skilled: boolean;
}

/** One piece of work to be given a week. Weeks are counted from the start of the problem. */
export interface YearStep {
  id: string;
  /** person-minutes */
  minutes: number;
  skilled: boolean;
  /** people wanted at once */
  crew: number;
  /** first and last week of its window, and the week it would best be done */
  from: number;
  to: number;
  ideal: number;
  /** cost of a week away from the ideal, squared */
  priority: number;
  /** steps that come before it, with the least weeks between */
  after: { id: string; weeks: number }[];
  trail: Trail[];
  /** kept in this week by hand */
  locked: number | null;
}

export interface YearProblem {
  weeks: number;
  /** person-minutes in each week: of all people, and of those with practice among them */
  capacity: { all: number[]; skilled: number[] };
  /** most people there on one day of the week */
  hands: number[];
  steps: YearStep[];
}

export interface Placed {
  id: string;
  week: number;
  /** share of it that is left for the week after: 0, or one to three quarters */
  later: number;
}

export interface WeekLoad {
  all: number;
  skilled: number;
  /** minutes above what the people can give */
  over: number;
}

export interface YearPlan {
  placed: Placed[];
  load: WeekLoad[];
  /** the objective: overload minutes and distance from the ideal weeks */
  cost: number;
  overload: number;
  /** steps whose order could not be kept inside their windows */
  outOfOrder: string[];
}

/** Minutes short in a week: skilled people do any work, others only what wants no practice. */
export const overloadOf = (all: number, skilled: number, canAll: number, canSkilled: number): number =>
  Math.max(0, all - canAll, skilled - canSkilled);
