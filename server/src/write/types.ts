import type { Person } from '@gonimos/contract/people';
import type { StartOffer } from '@gonimos/contract/outcome';
import type { KeptDetails } from '@gonimos/contract/details';
import type { Loss, NewRecord } from '@gonimos/contract/records';
import type { Moved } from '@gonimos/core/course';
import type { NewEntry } from '@gonimos/core/ledger';
import type { Operation } from '@gonimos/core/operations';
import type { Db, Sql, Trx } from '../db/index.ts';
import type { Planning } from '../facts/source.ts';

/** Courses that a write bears on: these, those at a place, all; or all, by nothing but the day and its weather. */
export type Touched = readonly string[] | { placeId: string } | 'all' | 'new day';

/** What moved when courses were planned again, by cohort; empty for those that are planned after the write. */
export type Planned = ReadonlyMap<string, Moved[]>;

/** Plans courses again within a write, or notes them as due with it when they are many. */
export type Planner = (trx: Trx, touched: Touched, cause: string) => Promise<Planned>;

/** What every write needs, put together once when the server is built. */
export interface House {
  db: Db;
  /** what the subjects do when work is recorded or taken back */
  followers: readonly Follower[];
  /** opens what courses are planned from, as all subjects tell it */
  planning: (sql: Sql) => Promise<Planning>;
  plan: Planner;
}

/** One write on its way. */
export interface Writing {
  trx: Trx;
  /** who writes; null for what the house writes by itself */
  person: Person | null;
  personId: string | null;
  followers: readonly Follower[];
  /** opens what courses are planned from, as this write sees it */
  planning: () => Promise<Planning>;
  /** plans courses before the end of the write, where the rest of it reads the plan */
  plan: Planner;
}

/** What a write has done: the courses that hang on it, why, and what is answered once they are planned. */
export interface Written<T> {
  touched: Touched;
  cause: string;
  answer: (planned: Planned) => T | Promise<T>;
}

/** The cohort a record is about, as it stood before. */
export interface CohortBefore {
  id: string;
  container: string;
  firstContainer: string | null;
  startedFrom: string;
  live: number;
  pending: number;
  taxonId: string;
  placeId: string;
  /** in whose pots they stand as guests */
  hostId: string | null;
}

/** Work or a look that is being recorded. */
export interface Work {
  record: NewRecord;
  /** null for a look between steps */
  operation: Operation | null;
  /** the model's chance of living through the step, where it is severe, 0..1 */
  odds: number | null;
  cohort: CohortBefore;
  /** plants the step was still to be done on */
  left: number;
  /** as told, and what followers have found besides */
  losses: Loss[];
}

/** What a record was, for taking back what followed from it. */
export interface Recorded {
  id: string;
  cohortId: string;
  details: KeptDetails;
}

/**
 * A subject's part in recording work. Each is asked in the order of the list; all that is optional may be left
 * out, and nobody but the subject knows what it does.
 */
export interface Follower {
  /** cohorts it bears on besides the one the work is of: taken for the write, and planned after it */
  others?: (record: NewRecord) => readonly string[];
  /** refuses what cannot be, before anything is written; may add losses */
  check?: (w: Writing, work: Work) => Promise<void> | void;
  /** what is kept in the record beside what was told */
  keeps?: (work: Work) => KeptDetails;
  /** entries for the ledger; `sofar`: those of the followers before it */
  entries?: (work: Work, sofar: readonly NewEntry[]) => NewEntry[];
  /** once record and entries are written */
  after?: (w: Writing, work: Work) => Promise<void>;
  /** what the answer offers to go on with */
  offers?: (w: Writing, work: Work) => Promise<StartOffer[]>;
  /** undoes what followed from a record */
  takeBack?: (w: Writing, record: Recorded) => Promise<void>;
}
