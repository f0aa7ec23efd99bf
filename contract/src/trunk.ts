import type { LabStart, OwnGrowth, RowSchools, Wish } from '@gonimos/core/lab';
import { boolean, object, string, type InferType } from 'yup';
import { body, containerId, id, list, measure, noneOf, text } from './fields.ts';
import type { RetargetAnswer } from './library.ts';

/** A sample of calipers: its mean, and how plants differ in it, mm; null for a sample of one. */
export interface Measured {
  on: string;
  /** where they were taken, mm above the soil */
  at: number;
  caliper: number;
  n: number;
  sd: number | null;
}

/** What a cohort brings to the trunk lab. */
export interface TrunkLab {
  /** its typical plant before the next season it can grow in */
  start: LabStart;
  /** mm; null: no aim is set */
  goal: number | null;
  /** what it stands in */
  container: string;
  /** its growth against that of its kind, by its own measurements */
  growth: OwnGrowth;
  /** how it would be kept in the ground */
  row: RowSchools;
  /** calipers measured so far, oldest first */
  measured: Measured[];
}

const year = () => measure(1900, 2200, '').integer('is not a year').required('is missing');

/** A course of the lab as it is asked for; what it means is checked by the core. */
const wish = () =>
  object({
    name: text(80).required('is missing'),
    pots: list(object({ year: year(), container: containerId().required('is missing') }).noUnknown())
      .max(12)
      .default([]),
    prune: string<Wish['prune']>()
      .oneOf(['none', 'lightly', 'hard'], noneOf(['none', 'lightly', 'hard']))
      .required('is missing'),
    sacrifice: object({
      from: year(),
      to: year(),
      height: measure(10, 5000, 'mm').required('is missing'),
      foliage: measure(0.05, 2, '').required('is missing'),
    })
      .noUnknown()
      .nullable()
      .default(null),
    chop: object({ year: year(), height: measure(10, 5000, 'mm').required('is missing') })
      .noUnknown()
      .nullable()
      .default(null),
    carve: boolean().default(false),
    methods: list(text(40).required()).max(12).default([]),
  })
    .noUnknown()
    .required('is missing');

/** Takes a course of the lab into the plan of its cohort; `goal`: mm, what it is followed for. */
export const adoptCourse = body({
  id: id(),
  cohortId: id(),
  wish: wish(),
  goal: measure(1, 1000, 'mm').nullable().default(null),
});
export type AdoptCourse = InferType<typeof adoptCourse>;

/** What taking a course into the plan would change. */
export interface AdoptAnswer extends RetargetAnswer {
  /** ways of thickening for which there is no step */
  byHand: string[];
}
