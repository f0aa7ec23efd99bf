import { boolean, type InferType } from 'yup';
import { body, id } from './fields.ts';

/** How far the planning of many courses has come. */
export interface Planning {
  /** courses still to be planned, of those that were due when the last change came */
  left: number;
  of: number;
  /** what they are planned again for */
  cause: string | null;
  paused: boolean;
  /** courses that cannot be planned, and why */
  faults: { id: string; code: string; fault: string }[];
}

export const pausePlanning = body({ id: id(), paused: boolean().required('is missing') });
export type PausePlanning = InferType<typeof pausePlanning>;
