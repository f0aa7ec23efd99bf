import { array } from 'yup';
import { body, measure } from './fields.ts';

const sample = (least: number, most: number) =>
  array(measure(least, most, 'mm').required())
    .max(200, 'at most 200 values')
    .default([]);

/** Sizes of a sample of the plants, mm. */
export const sizesTold = body({
  calipers: sample(0.1, 1000),
  /** where the calipers were taken, mm above the soil */
  at: measure(0, 5000, 'mm').default(0),
  heights: sample(1, 20_000),
});

/** As they are kept: the samples, and their means. */
export const sizesKept = sizesTold.shape({
  caliper: measure(0.1, 1000, 'mm').nullable().default(null),
  height: measure(1, 20_000, 'mm').nullable().default(null),
});
