import type { CourseChange, RuleName } from '@gonimos/core/course';
import { LANES } from '@gonimos/core/operations';
import { number, string, type InferType } from 'yup';
import { body, date, id, text } from './fields.ts';

/** A step set to a day by hand. */
export const moveStep = body({
  id: id(),
  cohortId: id(),
  stepKey: text(80).required('is missing'),
  to: date(),
  /** kept and shown when the day goes against a rule; empty inside the window */
  reason: text(300).default(''),
  override: string().oneOf(['no', 'yes']).default('no'),
});
export const askMove = body({ cohortId: id(), stepKey: text(80).required('is missing'), to: date() });

/** Kept with a day set by hand: the rule it goes against. */
export const moveKept = body({ overrides: string<RuleName>().nullable().default(null) });

export type MoveStep = InferType<typeof moveStep>;

export const askPutOff = body({ cohortId: id(), stepKey: text(80).required('is missing'), until: date() });
export type AskPutOff = InferType<typeof askPutOff>;

/** What putting a step off would cost, before it is said. */
export interface PutOffAnswer {
  /** the window it stands in now; null: it has none */
  window: { opens: string; closes: string } | null;
  /** where it would stand then */
  lands: { opens: string; closes: string } | null;
  /** the day is past the closing of its window: it waits for another */
  past: boolean;
  /** days by which the end of the course moves; null where one of the two has none */
  endMoves: number | null;
  /** days to put it off to that stay within its window, soonest first */
  within: string[];
  change: CourseChange;
}

export const askDone = body({ cohortId: id(), stepKey: text(80).required('is missing'), on: date() });
export type AskDone = InferType<typeof askDone>;

/** What doing a step on a day pushes further than waiting would, before it is done. */
export interface DoneAnswer {
  change: CourseChange;
}

export interface MoveAnswer {
  refused: { rule: RuleName; text: string } | null;
  change: CourseChange | null;
}

/** The same putting off for many cohorts: all root work on pines by two weeks. */
export const batchPutOff = body({
  id: id(),
  /** growth group or taxon id; null: every kind */
  kind: text(60).nullable().default(null),
  lane: string()
    .oneOf([...LANES], 'is not a lane')
    .required('is missing'),
  placeId: id().notRequired().nullable().default(null),
  days: number()
    .typeError('is not a number')
    .integer('is not a whole number')
    .min(1, 'is below 1')
    .max(400, 'is above 400')
    .required('is missing'),
  /** steps that open within so many days */
  within: number().integer().min(1).max(400).default(90),
  reason: text(300).required('is missing').matches(/\S/, 'is empty'),
});
export type BatchPutOff = InferType<typeof batchPutOff>;

export interface BatchLine {
  cohortId: string;
  code: string;
  stepKey: string;
  title: string;
  opens: string;
  closes: string;
  until: string;
}
