import { COMPARED_BY, type ComparedBy, type Difference, type Rates } from '@gonimos/core/comparison';
import { STAGES, type Stage } from '@gonimos/core/starts';
import { object, string, type InferType } from 'yup';
import { noneOf, taxonId } from './fields.ts';

export const askComparison = object({
  taxonId: taxonId(),
  by: string<ComparedBy>().oneOf(COMPARED_BY, noneOf(COMPARED_BY)).required('is missing'),
  stage: string<Stage>().oneOf(STAGES, noneOf(STAGES)).default('showing'),
  method: string().default(''),
});
export type AskComparison = InferType<typeof askComparison>;

export interface Comparison {
  rates: Rates;
  /** each group against the one before it */
  differences: (Difference & { sentence: string; differs: string[] })[];
  units: { group: string; code: string; cohortId: string; tray: string | null; k: number; n: number }[];
  came: string;
  /** taxa that can be compared, those with most batches first */
  taxa: { id: string; batches: number }[];
}
