import type { EntryType, StartUnit } from '@gonimos/core/ledger';
import { boolean, string, type InferType } from 'yup';
import { body, count, date, id, noneOf, text } from './fields.ts';

/** Causes offered when plants or seed are lost; `other` wants a note. */
export const CAUSES = [
  'eaten',
  'rotten',
  'washed out',
  'damping off',
  'frost',
  'drought',
  'heat',
  'pest',
  'disease',
  'root failure',
  'not rooted',
  'broken',
  'unknown',
] as const;
/** Why a plant that lives is thrown out; `by damage` reasons go back to an entry that tells the damage. */
export const CULL_REASONS = [
  'weak',
  'twin',
  'no low movement',
  'poor roots',
  'albino',
  'browsed',
  'frost-nipped',
  'snapped',
  'surplus',
] as const;

/** Entries a person may write by hand; the rest come with records, splits and promotions. */
export const BY_HAND = [
  'lost_before_emergence',
  'emerged',
  'lost',
  'culled',
  'sold',
  'given',
  'recount',
] as const;

export const newEntry = body({
  id: id(),
  /** a figure that is hard to believe is meant so */
  meant: boolean().default(false),
  type: string().oneOf(BY_HAND, noneOf(BY_HAND)).required('is missing'),
  on: date(),
  count: count().required('is missing'),
  cause: text(60).nullable().default(null),
  /** culls: the entry that tells of the damage they go back to */
  damageId: id().notRequired().nullable().default(null),
  note: text(2000).default(''),
});
export const reverseEntry = body({ id: id(), note: text(2000).default('') });

export type NewEntry = InferType<typeof newEntry>;
export type ReverseEntry = InferType<typeof reverseEntry>;

export interface EntryRow {
  id: string;
  type: EntryType;
  on: string;
  seq: number;
  count: number;
  into: number | null;
  unit: StartUnit | null;
  damageId: string | null;
  cause: string | null;
  note: string;
  reverses: string | null;
  reversedBy: string | null;
  recordId: string | null;
  transferId: string | null;
  by: string;
  at: string;
  /** live plants after this entry, in order of date; null for what does not stand */
  liveAfter: number | null;
}
