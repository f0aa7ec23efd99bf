import { array, string, type InferType } from 'yup';
import { body, date, id, text } from './fields.ts';

/** Kept with a window that went by: when it stood open, and for what. */
export const missedKept = body({
  opens: date(),
  closes: date(),
  title: text(200).required('is missing'),
  operation: text(80).required('is missing'),
});

/** What may be said of work that was missed. */
export const MISSED_ANSWERS = ['done', 'next time', 'let go'] as const;
export type MissedAnswer = (typeof MISSED_ANSWERS)[number];

/** The same word for one or many steps that were missed. */
export const answerMissed = body({
  id: id(),
  answer: string<MissedAnswer>()
    .oneOf(MISSED_ANSWERS, 'is not done, next time or let go')
    .required('is missing'),
  /** the day it was done */
  on: date().nullable().default(null),
  steps: array(body({ cohortId: id(), stepKey: text(80).required('is missing') }))
    .min(1, 'is empty')
    .max(300, 'at most 300 steps at once')
    .required('is missing'),
});
export type AnswerMissed = InferType<typeof answerMissed>;
