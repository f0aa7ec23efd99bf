import type { InferType } from 'yup';
import { body, id } from './fields.ts';
import type { RecordKind } from './records.ts';

/** Somebody has seen what happened up to today. */
export const seen = body({ id: id() });
export type Seen = InferType<typeof seen>;

/** What happened since somebody was last here. */
export interface Meanwhile {
  /** the day up to which they have seen it; null: they are here for the first time */
  since: string | null;
  /** the day it was asked on */
  today: string;
  days: number;
  /** what others took down */
  records: {
    id: string;
    on: string;
    cohortId: string;
    code: string;
    kind: RecordKind;
    title: string;
    by: string;
  }[];
  /** steps that moved by a week or more, each as it was and as it is now */
  moved: {
    cohortId: string;
    code: string;
    key: string;
    title: string;
    was: string | null;
    now: string | null;
    cause: string;
  }[];
  /** plants that were lost, by cause */
  lost: { cause: string; count: number }[];
  /** the coldest night */
  coldest: { on: string; tmin: number } | null;
}
