import type { Moved } from '@gonimos/core/course';
import type { CheckedBatch } from '@gonimos/core/cuttings';
import type { Cause, Decision, Found } from '@gonimos/core/visits';
import { array, boolean, string, type InferType } from 'yup';
import { body, containerId, count, date, id, measure, text } from './fields.ts';

const minutes = () => measure(0, 100_000, 'min').nullable().default(null);

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
  emerged: count().nullable().default(null),
  losses: array(
    body({
      id: id(),
      kind: string().oneOf(['lost_before_emergence', 'lost', 'culled']).required('is missing'),
      count: count().min(1, 'is below 1').required('is missing'),
      cause: text(60).required('is missing').min(1, 'is missing'),
    }),
  )
    .max(20, 'at most 20 lines')
    .default([]),
  container: containerId().nullable().default(null),
  calipers: array(measure(0.1, 1000, 'mm').required())
    .max(200, 'at most 200 values')
    .default([]),
  heights: array(measure(1, 20_000, 'mm').required())
    .max(200, 'at most 200 values')
    .default([]),
  rooted: count().nullable().default(null),
  /** looked at before it was ready: what was found; it is looked at again */
  again: text(60).nullable().default(null),
  /** two-week look: how many of those looked at live */
  alive: count().nullable().default(null),
  /** severe work: how sure the grower is that a plant lives, 0..1 */
  sure: measure(0, 1, '').nullable().default(null),
  /** tally of bud stages: plants looked at, and those that are ready */
  buds: body({
    looked: count().min(1, 'is below 1').required('is missing'),
    ready: count().required('is missing'),
  })
    .test('ready', 'has more ready than were looked at', (v) => !v || v.ready <= v.looked)
    .notRequired()
    .nullable()
    .default(null),
  /** where the plants stand from now on */
  placeId: id().notRequired().nullable().default(null),
  vigour: measure(1, 5, '').integer('is not a whole number').nullable().default(null),
  /** live growth seen low on the stem, or none; null: nobody looked */
  lowGrowth: boolean().nullable().default(null),
  minutes: minutes(),
  note: text(4000).default(''),
  nextTime: text(1000).default(''),
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
/** A record of work that says nothing but what it is told. */
export const workOn = (
  told: Pick<NewRecord, 'id' | 'cohortId' | 'stepKey' | 'on'> & Partial<NewRecord>,
): NewRecord => ({
  ...{ done: null, finished: true, emerged: null, losses: [], container: null, calipers: [], heights: [] },
  ...{ rooted: null, again: null, alive: null, sure: null, buds: null, placeId: null, vigour: null },
  ...{ lowGrowth: null, meant: false },
  ...{ minutes: null, note: '', nextTime: '' },
  ...told,
});

export type PutOffStep = InferType<typeof putOffStep>;

/** What a write did to the plan. */
export interface Outcome {
  recordId: string;
  live: number;
  pending: number;
  moved: Moved[];
  /** goals that still want what the work has just given, such as prunings to stick */
  offers?: StartOffer[];
}

export interface StartOffer {
  goalId: string;
  taxonId: string;
  programmeId: string;
  programmeName: string;
  /** still to start for that goal */
  count: number;
  parentId: string;
}

export interface RecordRow {
  id: string;
  kind: 'work' | 'look' | 'put off' | 'visit' | 'moved' | 'released';
  stepKey: string | null;
  title: string;
  on: string;
  done: number | null;
  caliper: number | null;
  height: number | null;
  vigour: number | null;
  minutes: number | null;
  container: string | null;
  found: Found[] | null;
  decision: Decision | null;
  causes: Cause[] | null;
  checkOn: string | null;
  until: string | null;
  sure: number | null;
  odds: number | null;
  alive: number | null;
  aliveOf: number | null;
  again: string | null;
  batches: CheckedBatch[] | null;
  note: string;
  nextTime: string;
  by: string;
  at: string;
  undone: boolean;
}
