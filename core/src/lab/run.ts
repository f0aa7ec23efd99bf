import { YEARS_DIFFER } from '../trunk/index.ts';
import { random, type Random } from '../random/index.ts';
import { quantile } from '../stats/index.ts';
import { LabPlant } from './plant.ts';
import type { LabCourse, LabStart, LabYear, Luck } from './types.ts';

/** Cohorts differ by so much in growth, and seasons of one cohort: sd of the logarithm. Estimates. */
export const COHORTS_SD = Math.log(YEARS_DIFFER.fast.value) / 1.2816;
export const SEASONS_SD = 0.12;

/** The middle of everything. */
export const MEDIAN_LUCK: Luck = { cohort: 1, seasons: [], methods: 0 };

/**
 * The luck of a run, drawn from its seed alone: courses that are compared meet the same cohort and seasons.
 * `factor`: growth of this cohort as it was learned, and the spread that is left of it (sd of the logarithm).
 */
export function luckOf(seed: number, seasons: number, factor = { mean: 1, sd: COHORTS_SD }): Luck {
  const rng: Random = random(seed);
  const cohort = factor.mean * Math.exp(factor.sd * rng.normal());
  const methods = rng.normal();
  return {
    cohort,
    methods,
    seasons: Array.from({ length: seasons }, () => Math.exp(SEASONS_SD * rng.normal())),
  };
}

/** A plant through a course under one luck, shown after each season. */
function live(
  start: LabStart,
  course: LabCourse,
  seasons: number,
  luck: Luck,
  after: (plant: LabPlant, season: number) => void,
): void {
  const plant = new LabPlant(start);
  for (let i = 0; i < seasons; i++) {
    for (const a of course.acts) if (a.year === plant.year) plant.act(a);
    plant.season(luck, i);
    after(plant, i);
  }
}

/** A plant through a course, season by season, under one luck. */
export function runCourse(
  start: LabStart,
  course: LabCourse,
  seasons: number,
  luck = MEDIAN_LUCK,
): LabYear[] {
  const years: LabYear[] = [];
  live(start, course, seasons, luck, (plant) => years.push(plant.look()));
  return years;
}

/** Caliper at the base after each season: one run in ten less, the middle, one in ten more, mm. */
export interface Band {
  year: number;
  p10: number;
  p50: number;
  p90: number;
}

export interface Forecast {
  course: LabCourse;
  /** the run of middling luck */
  middle: LabYear[];
  band: Band[];
  /** calendar year in whose season the goal is reached, and the share of runs that reach it in time; null: none asked */
  goal: { mm: number; year: number | null; share: number } | null;
}

/**
 * A course through many runs. `runs`: seeds 1..n, the same for every course. Cost grows with runs × seasons.
 *
 * @example forecast(start, course, 10, 2000, 40).band.at(-1) // { year: 2046, p10: 35, p50: 43, p90: 51 }
 */
export function forecast(
  start: LabStart,
  course: LabCourse,
  seasons: number,
  runs: number,
  goal: number | null = null,
  factor?: { mean: number; sd: number },
): Forecast {
  const by = Array.from({ length: seasons }, () => new Float64Array(runs));
  for (let r = 0; r < runs; r++) {
    // of all but the middle run only the caliper is asked
    live(start, course, seasons, luckOf(r + 1, seasons, factor), (plant, i) => {
      by[i][r] = plant.caliper;
    });
  }
  const middle = runCourse(start, course, seasons, { ...MEDIAN_LUCK, cohort: factor?.mean ?? 1 });
  const sorted = by.map((v) => v.sort());
  return {
    course,
    middle,
    band: sorted.map((v, i) => ({
      year: start.year + i,
      p10: quantile(v, 0.1),
      p50: quantile(v, 0.5),
      p90: quantile(v, 0.9),
    })),
    goal: goal === null ? null : reached(goal, middle, sorted.at(-1)!),
  };
}

function reached(mm: number, middle: readonly LabYear[], last: Float64Array) {
  const year = middle.find((y) => y.caliper >= mm)?.year ?? null;
  return { mm, year, share: last.filter((d) => d >= mm).length / last.length };
}
