import type { CommonOpening } from '@gonimos/core/course';
import { string, type InferType } from 'yup';
import { body, noneOf } from './fields.ts';

/** What becomes of a pot that several share when it is opened. */
export const POT_OUTCOMES = ['stays', 'parted', 'clump'] as const;
export type PotOutcome = (typeof POT_OUTCOMES)[number];

export const potTold = body({
  outcome: string<PotOutcome>().oneOf(POT_OUTCOMES, noneOf(POT_OUTCOMES)).required('is missing'),
});

/** As it is kept: with whose guests they were. */
export const potKept = potTold.shape({ host: string().uuid().nullable().default(null) });
export type PotKept = InferType<typeof potKept>;

/** A pot that several cohorts share: the host first. */
export interface SharedPot {
  members: { id: string; code: string; taxonId: string; live: number; host: boolean }[];
  opening: CommonOpening;
  /** grown together since: it cannot be parted; null: it can */
  clump: string | null;
}
