import { array } from 'yup';
import { body, count, id, measure, text } from './fields.ts';

/** Roots as told with work on them. */
export const rootsTold = body({
  /** the drawn record it was done by */
  drawnId: id().nullable().default(null),
  /** feeders that went, 0..1 */
  took: measure(0, 1, '').nullable().default(null),
  /** what was left for another time */
  left: array(text(200).required()).max(40, 'at most 40 lines').default([]),
  /** plants of a series by class; null: not judged */
  classes: body({ A: count().default(0), B: count().default(0), C: count().default(0) })
    .nullable()
    .default(null),
});
