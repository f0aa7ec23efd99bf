import { boolean } from 'yup';
import { body, count, measure, text } from './fields.ts';

/** What a look at the plants showed. */
export const looksTold = body({
  vigour: measure(1, 5, '').integer('is not a whole number').nullable().default(null),
  /** live growth seen low on the stem, or none; null: nobody looked */
  lowGrowth: boolean().nullable().default(null),
  /** tally of bud stages: plants looked at, and those that are ready */
  buds: body({
    looked: count().min(1, 'is below 1').required('is missing'),
    ready: count().required('is missing'),
  })
    .test('ready', 'has more ready than were looked at', (v) => !v || v.ready <= v.looked)
    .notRequired()
    .nullable()
    .default(null),
});

/** As it is kept: with what was found where it was looked at before it was ready, and is looked at again. */
export const looksKept = looksTold.shape({ again: text(60).nullable().default(null) });
