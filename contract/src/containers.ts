import { containerId, body, count, date, text } from './fields.ts';

/**
 * What the plants were potted into, how many of the old containers went back on the shelf, and, where it is the second
 * best for now, by when they go on into what was wanted.
 */
export const pottingTold = body({
  container: containerId().required('is missing'),
  back: count().notRequired(),
  until: date().nullable().notRequired(),
});

/** As it is kept: with what they stood in before. */
export const pottingKept = pottingTold.shape({ before: text(60).required() });
