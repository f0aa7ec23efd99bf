import { expose } from 'comlink';
import {
  courseOf,
  forecast,
  Search,
  trunkVerdict,
  type Aim,
  type Forecast,
  type Found,
  type LabStart,
  type OwnGrowth,
  type TrunkCase,
  type TrunkVerdict,
  type Wish,
  type YearChoice,
} from '@gonimos/core/lab';

/** Runs behind the band of each course. */
const RUNS = 1000;
/** Courses tried between two signs of life. */
const AT_ONCE = 200;

/** Grows courses off the page, all on the same luck. */
const lab = {
  /** A trunk that was played, beside the best. */
  verdict: (of: TrunkCase, choices: readonly YearChoice[]): TrunkVerdict => trunkVerdict(of, choices),
  forecast: (
    start: LabStart,
    wishes: readonly Wish[],
    { seasons, goal, growth }: { seasons: number; goal: number; growth: OwnGrowth },
  ): Forecast[] =>
    wishes.map((w, i) =>
      forecast(start, courseOf(String(i), w, start, seasons), seasons, RUNS, goal, growth),
    ),
  /** Thousands of courses; `told` hears how far it is, 0..1. Ended by ending the worker. */
  search: async (
    start: LabStart,
    aim: Aim,
    growth: OwnGrowth,
    told: (part: number) => Promise<void>,
  ): Promise<Found[]> => {
    const search = new Search(start, aim, growth);
    while (search.step(AT_ONCE)) await told(search.progress);
    return search.best();
  },
};

export type LabWorker = typeof lab;
expose(lab);
