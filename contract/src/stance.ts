import { LEAN_MOST, type Stance } from '@gonimos/core/stance';
import { body, measure } from './fields.ts';

/** How a plant leans, once it was decided how it stands. */
export const lean = () =>
  body({
    tilt: measure(0, LEAN_MOST, '°').required('is missing'),
    towards: measure(0, 360, '°').required('is missing'),
  })
    .nullable()
    .default(null);

/** Where in its pot the trunk stands, mm from the middle. */
export const offMiddle = () => measure(-1000, 1000, 'mm').default(0);

/** How a plant was last decided to stand, and on which bench. */
export interface StanceRow extends Stance {
  /** which plant of the cohort, as its drawings name it */
  label: string;
  bench: 'roots' | 'stem';
  on: string;
}
