import { array } from 'yup';
import { body, date, id, measure, text } from './fields.ts';

/** A stem as told with work on it. */
export const stemTold = body({
  /** the drawing it was done by */
  drawnId: id().nullable().default(null),
  /** share of the crown that went, 0..1; null: as planned */
  took: measure(0, 1, '').nullable().default(null),
  /** what was left for another time */
  left: array(text(200).required()).max(40, 'at most 40 lines').default([]),
  /** of work that is not finished: what is left is done from then on; null: as soon as may be */
  until: date().nullable().default(null),
});
