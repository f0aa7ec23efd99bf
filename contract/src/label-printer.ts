import { array, number, string } from 'yup';
import { body, id } from './fields.ts';

/**
 * A label printer at a local address is sent one label at a time: POST, image/png, of the dots of a strip of
 * 100 × 25 mm at 203 dots an inch; it answers 201 with `{ printed }`, the labels printed so far. The demo ships a
 * simulated one at this address that keeps what it printed: GET lists the labels, GET with a number gives its picture.
 *
 * @example GET /printer/labels // { printed: 3, kept: [1, 2, 3] }
 */
export const PRINTER_PATH = '/printer/labels';
/** Dots of a strip, and of an inch. */
export const PRINTER_DOTS = { width: 799, height: 200, inch: 203 } as const;

/** Labels of these cohorts go to the printer of labels. */
export const printLabels = body({
  cohorts: array(id())
    .min(1, 'name at least one cohort')
    .max(400, 'are more than 400')
    .required('is missing'),
  copies: number().integer('is not a whole number').min(1, 'is below 1').max(20, 'is above 20').default(1),
});

/** Cohorts named in an address: ids with commas between. */
export const cohortIds = () =>
  string()
    .required('is missing')
    .max(400 * 37, 'are more than 400')
    .matches(/^[0-9a-f-]{36}(,[0-9a-f-]{36})*$/, 'are not ids with commas between');

/** What the printer keeps. */
export interface Printed {
  printed: number;
  kept: number[];
}
