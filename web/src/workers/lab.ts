import { expose } from 'comlink';
import { courseOf, forecast, type Forecast, type LabStart, type Wish } from '@gonimos/core/lab';

/** Runs behind the band of each course. */
export const RUNS = 1000;

/** Grows courses off the page, all on the same luck. */
const lab = {
  forecast: (start: LabStart, wishes: readonly Wish[], seasons: number, goal: number): Forecast[] =>
    wishes.map((w, i) => forecast(start, courseOf(String(i), w, start, seasons), seasons, RUNS, goal)),
};

export type LabWorker = typeof lab;
expose(lab);
