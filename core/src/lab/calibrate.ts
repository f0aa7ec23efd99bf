import { toDay, type IsoDate } from '../calendar/index.ts';
import { plantOn, type CourseFacts } from '../course/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { YEARS_DIFFER } from '../trunk/index.ts';
import { COHORTS_SD, SEASONS_SD } from './run.ts';

/** Growth of a cohort against that of its kind, as its own measurements tell it. */
export interface OwnGrowth {
  /** 1: as its kind */
  mean: number;
  /** of the logarithm: how far from sure it is */
  sd: number;
  /** stretches between measurements it was learned from */
  n: number;
}

/** What nobody has measured grows as its kind does. */
export const KINDS_GROWTH: OwnGrowth = { mean: 1, sd: COHORTS_SD, n: 0 };

/** Growth between two measurements, mm of diameter: what was found, and what the kind would have grown. */
export interface Stretch {
  found: number;
  expected: number;
  /** what a fast cohort of the kind would have grown (`YEARS_DIFFER.fast`) */
  fast: number;
  /** growing seasons it spans */
  seasons: number;
}

/** A stretch of less than this tells nothing, mm. */
const LEAST = 0.3;
/** Where growth hardly goes with the factor nothing is learned of it. */
const LEAST_POWER = 0.2;
/** A caliper is right to about so much, mm. Common practice, no source. */
const READING = 0.3;

/**
 * A log-normal factor shrunk to the kind: the prior is how cohorts of a kind differ, the noise how seasons of one
 * cohort do, and how well a caliper reads. In a pot that holds it back growth goes with less than the factor: by how
 * much less is read from what a fast cohort would have grown.
 *
 * @example learnGrowth([{ found: 6, expected: 5, fast: 6.45, seasons: 1 }]).mean // about 1.13
 */
export function learnGrowth(stretches: readonly Stretch[]): OwnGrowth {
  let precision = 1 / COHORTS_SD ** 2;
  let sum = 0;
  let n = 0;
  for (const s of stretches) {
    if (!(s.expected >= LEAST && s.seasons > 0)) continue;
    const power = Math.log(s.fast / s.expected) / Math.log(YEARS_DIFFER.fast.value);
    if (!(power >= LEAST_POWER)) continue;
    const reading = (Math.SQRT2 * READING) / s.expected / power;
    const weight = 1 / (SEASONS_SD ** 2 / Math.max(1, s.seasons) + reading ** 2);
    sum += (weight * Math.log(Math.max(LEAST, s.found) / s.expected)) / power;
    precision += weight;
    n++;
  }
  return { mean: Math.exp(sum / precision), sd: Math.sqrt(1 / precision), n };
}

/** What was known of a cohort on a day: sizes measured and steps done before it. */
const asOf = (facts: CourseFacts, day: IsoDate): CourseFacts => ({
  ...facts,
  sizes: facts.sizes.filter((s) => s.on < day),
  steps: Object.fromEntries(
    Object.entries(facts.steps).map(([key, s]) => [
      key,
      s.status === 'done' && s.doneOn! >= day ? { status: 'planned' as const } : s,
    ]),
  ),
});

/** Growth between the measurements of a cohort, against what its kind would have grown under the same work. */
export function stretchesOf(facts: CourseFacts, book: SeasonBook): Stretch[] {
  // on its parent a layer grew by the parent's roots
  const own = facts.layer?.severedOn ?? facts.startedOn;
  const seen = facts.sizes
    .flatMap((s) => (s.caliper === null || s.on < own ? [] : [{ on: s.on, caliper: s.caliper }]))
    .toSorted((a, b) => (a.on < b.on ? -1 : 1));
  return seen.slice(1).map(({ on, caliper }, i) => {
    const before = seen[i];
    const then = plantOn(asOf(facts, on), book, on);
    return {
      found: caliper - before.caliper,
      expected: then.caliper - before.caliper,
      fast: then.fast - before.caliper,
      seasons: (toDay(on) - toDay(before.on)) / 365,
    };
  });
}
