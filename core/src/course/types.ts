import type { Day, IsoDate } from '../calendar/index.ts';
import type { Param } from '../params/index.ts';
import type { Programme, ProgrammeStep, School } from '../programmes/index.ts';
import type { Operation } from '../operations/index.ts';
import type { SeasonBook } from '../season/book.ts';
import type { GroupTolerance, Taxon } from '../taxa/index.ts';
import type { Ring } from '../trunk/index.ts';

export const RULES = [
  'window',
  'order',
  'recovery',
  'reserve',
  'vigour',
  'condition',
  'school',
  'put off',
] as const;
export type RuleName = (typeof RULES)[number];

/** A number a reason rests on, with where it comes from. */
export interface Figure {
  label: string;
  value: number | IsoDate;
  unit: string;
  basis: Param['basis'] | 'computed';
  source?: string;
}

/** Why a step stands where it stands. Dates in the text are written {YYYY-MM-DD}. */
export interface Reason {
  rule: RuleName;
  text: string;
  figures: Figure[];
  /** this rule decided the date */
  binding: boolean;
}

/** What is known of one step of a course. */
export interface StepFact {
  status: 'planned' | 'done' | 'dropped';
  doneOn?: IsoDate;
  container?: string | null;
  /** the grower said not yet: not before this day, and why */
  putOff?: { until: IsoDate; reason: string };
}

export interface CourseFacts {
  taxonId: string;
  programme: Programme;
  startedOn: IsoDate;
  live: number;
  /** what the plants stood in at the start; null: what the programme begins with */
  firstContainer?: string | null;
  /** by step key; a missing step is planned */
  steps: Record<string, StepFact>;
  sizes: { on: IsoDate; caliper: number | null; height: number | null }[];
  vigour: { on: IsoDate; value: number }[];
  /** the nursery's or cohort's school for root and top work */
  school: School | null;
}

export interface PlannedStep {
  key: string;
  operation: string;
  title: string;
  lane: Operation['lane'];
  status: 'planned' | 'done' | 'dropped' | 'none';
  /** first and last day of the window that holds, null when done without one or none is found */
  opens: IsoDate | null;
  closes: IsoDate | null;
  /** earliest and latest the window is likely to open, one year in ten each way */
  opensEarly: IsoDate | null;
  opensLate: IsoDate | null;
  /** day the plan counts on */
  target: IsoDate | null;
  doneOn: IsoDate | null;
  container: string | null;
  /** share of the root to take: wanted, and what the plant bears on the target day */
  rootCut: { wanted: number; limit: number; take: number } | null;
  /** everything it waits for is done */
  ready: boolean;
  /** person-minutes for all plants */
  minutes: number;
  reasons: Reason[];
}

export interface Course {
  steps: PlannedStep[];
  /** caliper at the end of each season, past and expected */
  rings: Ring[];
  endsOn: IsoDate | null;
}

/** What a rule asks: not before a day, or never. */
export interface Demand {
  rule: RuleName;
  notBefore: Day | 'never';
  text: string;
  figures: Figure[];
}

export interface Context {
  facts: CourseFacts;
  taxon: Taxon;
  tolerance: GroupTolerance;
  book: SeasonBook;
  today: Day;
  /** day each step was done or is planned for, in programme order; null: cannot be planned */
  dates: Map<string, { day: Day | null; title: string; done: boolean }>;
}

export interface StepInHand {
  step: ProgrammeStep;
  op: Operation;
  rootLoss: number;
  topLoss: number;
}
