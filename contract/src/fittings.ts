import { FITTINGS, type Fitting, type Stretch, type Tending } from '@gonimos/core/operations';
import { array, boolean, string } from 'yup';
import { body, count, date, id, measure, noneOf, text } from './fields.ts';

/** A stretch of a plant that something is put around: its thickness by that of the base, and the crown above it. */
const stretch = () => ({
  of: measure(0.001, 2, '').required('is missing'),
  share: measure(0, 1, '').required('is missing'),
});
/** Most that is put on at once: the wires of one stem. */
const ON_MOST = 40;

/** What was put on plants by hand, or taken off again, told with any record. */
export const fittingsTold = body({
  on: array(
    body({
      id: id(),
      what: string<Fitting>().oneOf(FITTINGS, noneOf(FITTINGS)).required('is missing'),
      /** its gauge, finish or number, where it matters */
      note: text(80).default(''),
      /** when it has to be looked at, renewed or gone */
      due: date(),
      /** what it sits on, where it is not the stem or the base: when it bites again follows from it */
      stretch: body(stretch()).nullable().notRequired().default(null),
    }),
  )
    .max(ON_MOST, `at most ${ON_MOST} at once`)
    .default([]),
  off: array(id()).max(50, 'at most 50 at once').default([]),
  /** of wire that came off by hand: whether what it held stayed so */
  kept: array(body({ id: id(), held: boolean().required('is missing') }))
    .max(50, 'at most 50 at once')
    .default([]),
  /** a look at what is on the plants: plants it stays on, was taken off, and had bitten, where it was cut off */
  tend: body({
    stays: count().required('is missing'),
    off: count().required('is missing'),
    biting: count().required('is missing'),
    /** of those it was taken off, how many sprang back */
    sprang: count().nullable().default(null),
  })
    .notRequired()
    .nullable()
    .default(null),
});

/** Something that holds, presses or covers plants, with its day. */
export interface FittingLine {
  id: string;
  cohortId: string;
  code: string;
  taxonId: string;
  placeId: string;
  what: Fitting;
  how: Tending;
  /** gauge, finish or number, as told */
  note: string;
  since: string | null;
  /** from when, and by when, it is to be tended */
  from: string;
  due: string;
  /** the step of the course that tends it; null: it was put on by hand */
  stepKey: string | null;
  /** what it sits on, where that was told */
  stretch: Stretch | null;
}

/** Parts of a plant that something is put around. */
export const PARTS_HELD = ['base', 'stem'] as const;
export type PartHeld = (typeof PARTS_HELD)[number];

/** When what is put around a part today will bite. */
export const askBite = body({
  cohortId: id(),
  part: string<PartHeld>().oneOf(PARTS_HELD, noneOf(PARTS_HELD)).required('is missing'),
});

export interface BiteAnswer {
  /** thickness of the part today, mm */
  thick: number;
  /** day by which it has swollen so far that what is around it bites, or a year from today where it does not */
  due: string;
  /** whether it swells so far within the year */
  bites: boolean;
}

/** When wires on stretches of a plant would bite, put on today. */
export const askBites = body({
  cohortId: id(),
  stretches: array(body({ id: text(40).required('is missing'), ...stretch() }))
    .min(1, 'is empty')
    .max(ON_MOST, `at most ${ON_MOST} at once`)
    .required('is missing'),
});
export type BiteOfStretch = BiteAnswer & { id: string };
