import type { Choice, GoalState, StageEstimate, StartNumber, Stage } from '@gonimos/core/starts';
import { STAGES } from '@gonimos/core/starts';
import type { Phase } from '@gonimos/core/seed';
import { string, type InferType } from 'yup';
import { body, count, id, measure, noneOf, programmeId, taxonId, text, version } from './fields.ts';

const cost = () =>
  body({
    /** of seed, cutting or layer, cents each */
    centsEach: measure(0, 100_000, 'cents').integer('is not a whole number').default(5),
    /** wage, cents an hour */
    wage: measure(0, 100_000, 'cents').integer('is not a whole number').default(1500),
  });

/** What is wanted: plants at a stage by a year, and how sure it is to be. */
const want = () => ({
  taxonId: taxonId(),
  programmeId: programmeId(),
  placeId: id(),
  stage: string<Stage>().oneOf(STAGES, noneOf(STAGES)).required('is missing'),
  wanted: count(2000).min(1, 'is below 1').required('is missing'),
  byYear: measure(1950, 2199, '').integer('is not a year').required('is missing'),
  confidence: measure(0.5, 0.99, '').required('is missing'),
  /** most that may be started */
  most: count(5000).min(1, 'is below 1').required('is missing'),
  cost: cost(),
});
export const askStart = body(want());
export const newGoal = body({ id: id(), note: text(500).default(''), ...want() });
export const closeGoal = body({ id: id(), version: version() });

export type AskStart = InferType<typeof askStart>;
export type NewGoal = InferType<typeof newGoal>;

/** When a start would have to be, and when it reaches the stage. */
export interface StartTime {
  season: number;
  opens: string;
  closes: string;
  /** day the stage is reached, counted from the middle of the window; null: never */
  reaches: string | null;
  /** for seed: what has to be done before, day by day */
  phases: { what: Phase['what']; from: string; to: string }[];
  /** days by which the treatment misses the window when begun today */
  late: number;
  inTime: boolean;
}

export interface StartAnswer {
  stages: (StageEstimate & { words: string })[];
  /** all stages together */
  mean: number;
  rho: number;
  number: StartNumber;
  choices: Choice[];
  /** this season's start and the next ones */
  times: StartTime[];
  /** seed of this kind is sown as it falls */
  fresh: boolean;
  unit: 'seeds' | 'cuttings' | 'layers' | 'plants';
}

export interface Goal {
  id: string;
  taxonId: string;
  programmeId: string;
  programmeName: string;
  placeId: string;
  stage: Stage;
  stageWords: string;
  wanted: number;
  byYear: number;
  confidence: number;
  most: number;
  cost: { centsEach: number; wage: number };
  note: string;
  closedOn: string | null;
  version: number;
  state: GoalState;
  unit: StartAnswer['unit'];
  underWay: { id: string; code: string; count: number; stage: string }[];
  /** when the next start may be; null: met, or not in time any more */
  next: StartTime | null;
}
