import { FITTINGS, type Fitting, type Tending } from '@gonimos/core/operations';
import { array, string } from 'yup';
import { body, count, date, id, noneOf, text } from './fields.ts';

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
    }),
  )
    .max(10, 'at most 10 at once')
    .default([]),
  off: array(id()).max(50, 'at most 50 at once').default([]),
  /** a look at what is on the plants: plants it stays on, was taken off, and had bitten, where it was cut off */
  tend: body({
    stays: count().required('is missing'),
    off: count().required('is missing'),
    biting: count().required('is missing'),
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
