import type { Choices } from '@gonimos/core/schools';
import type { SeasonBook } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import type { CohortFacts } from './facts.ts';

/** What holds for every course on a day: the books of the places and the schools of the nursery. */
export interface Ground {
  today: string;
  /** by place id */
  books: Map<string, SeasonBook>;
  schools: Choices;
}

/** Adds what a subject knows of cohorts to their facts. */
export type AddFacts = (sql: Sql, facts: CohortFacts[]) => Promise<CohortFacts[]>;

/**
 * A subject's part in what courses are planned from. It is opened once for however many cohorts, and may read then
 * what is the same for all of them.
 */
export type FactSource = (sql: Sql, ground: Ground) => AddFacts | Promise<AddFacts>;

/** What courses are planned from, opened once for however many cohorts. */
export interface Planning extends Ground {
  /** in the order in which they add */
  adds: readonly AddFacts[];
}

/** Steps of a course with more said of some that are still open. */
export function moreOfOpen(
  f: CohortFacts,
  more: readonly { key: string; fact: Partial<CohortFacts['steps'][string]> }[],
): CohortFacts {
  const steps = { ...f.steps };
  for (const { key, fact } of more) {
    const now = steps[key] ?? { status: 'planned' };
    if (now.status === 'planned') steps[key] = { ...now, ...fact };
  }
  return { ...f, steps };
}
