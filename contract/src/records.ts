import { array, boolean, string, type InferType } from 'yup';
import { toldDetails, type KeptDetails } from './details.ts';
import { body, count, date, id, measure, text } from './fields.ts';

/** Plants or seed that are gone, by cause. */
const loss = () =>
  body({
    id: id(),
    kind: string().oneOf(['lost_before_emergence', 'lost', 'culled']).required('is missing'),
    count: count().min(1, 'is below 1').required('is missing'),
    cause: text(60).required('is missing').min(1, 'is missing'),
  });

/** Work done on one step, or a look between steps. */
export const newRecord = body({
  id: id(),
  cohortId: id(),
  stepKey: text(80).nullable().default(null),
  on: date(),
  /** a figure that is hard to believe is meant so */
  meant: boolean().default(false),
  /** plants worked on */
  done: count().nullable().default(null),
  /** false: more of this step is left for another day */
  finished: boolean().default(true),
  losses: array(loss()).max(20, 'at most 20 lines').default([]),
  minutes: measure(0, 100_000, 'min').nullable().default(null),
  note: text(4000).default(''),
  nextTime: text(1000).default(''),
  /** what the subjects are told with it */
  details: toldDetails,
});

export const putOffStep = body({
  id: id(),
  cohortId: id(),
  stepKey: text(80).required('is missing'),
  until: date(),
  reason: text(300).required('is missing').matches(/\S/, 'is empty'),
});

export const undoRecord = body({ id: id() });

export type NewRecord = InferType<typeof newRecord>;
export type Loss = NewRecord['losses'][number];
export type PutOffStep = InferType<typeof putOffStep>;

/** A record of work that says nothing but what it is told. */
export const workOn = (
  told: Pick<NewRecord, 'id' | 'cohortId' | 'stepKey' | 'on'> & Partial<NewRecord>,
): NewRecord => ({
  done: null,
  finished: true,
  meant: false,
  losses: [],
  minutes: null,
  note: '',
  nextTime: '',
  details: {},
  ...told,
});

export type RecordKind =
  | 'work'
  | 'look'
  | 'put off'
  | 'visit'
  | 'moved'
  | 'released'
  | 'missed'
  | 'lapsed'
  | 'let go';

export interface RecordRow {
  id: string;
  kind: RecordKind;
  stepKey: string | null;
  title: string;
  on: string;
  done: number | null;
  minutes: number | null;
  until: string | null;
  details: KeptDetails;
  note: string;
  nextTime: string;
  by: string;
  at: string;
  undone: boolean;
}

/** Plants a step is still to be done on. */
export const leftOf = (s: { live: number; part: number; about: number | null }): number =>
  Math.max(0, (s.about ?? s.live) - s.part);
