import { MARKERS } from '@gonimos/core/season';
import type { CourseChange } from '@gonimos/core/course';
import { METHODS, type Programme } from '@gonimos/core/programmes';
import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  tuple,
  type AnySchema,
  type InferType,
} from 'yup';
import { body, id, measure, noneOf, text } from './fields.ts';
import { choices } from './schools.ts';

const programmeKey = () =>
  string()
    .required('is missing')
    .matches(/^[a-z0-9][a-z0-9-]{1,40}$/, 'is small letters, digits and hyphens');

const edge = () =>
  tuple([
    string().oneOf(MARKERS, noneOf(MARKERS)).required('is missing'),
    measure(-365, 365, 'days').required('is missing'),
  ]).required('is missing');
const daysLong = () => measure(0, 1500, 'days').required('is missing');

/** A schema that hangs on what is sent. */
function byValue(choose: (v: unknown) => AnySchema): AnySchema {
  const schema: unknown = lazy(choose);
  return schema as AnySchema;
}

/** The days in which a step may be done, by kind; a kind the core does not know is refused. */
const WINDOWS = {
  season: () => ({ opens: edge(), closes: edge(), outdoors: boolean(), atLeast: measure(1, 365, 'days') }),
  lag: () => ({ opens: daysLong(), closes: daysLong() }),
  growth: () => ({ opens: measure(0, 15, 'seasons').required('is missing'), days: daysLong() }),
  warmth: () => ({
    degreeDays: byValue((v) =>
      typeof v === 'string'
        ? string().oneOf(['emergence', 'layer', 'layer again'], 'is no sum of warmth')
        : measure(1, 10_000, '°C·d').required('is missing'),
    ),
    days: daysLong(),
    base: measure(-5, 20, '°C'),
    share: measure(0.01, 1, ''),
  }),
  cold: () => ({
    side: string().oneOf(['first', 'last'], 'is first or last').required('is missing'),
    opens: measure(-365, 365, 'days').required('is missing'),
    closes: measure(-365, 365, 'days').required('is missing'),
  }),
  swelling: () => ({
    part: string().oneOf(['base', 'stem'], 'is base or stem').required('is missing'),
    share: measure(0.01, 5, '').required('is missing'),
    days: daysLong(),
  }),
  tips: () => ({}),
};
type WindowKind = keyof typeof WINDOWS;
const WINDOW_KINDS = Object.keys(WINDOWS) as WindowKind[];

export const windowSpec = () =>
  byValue((v) => {
    if (v === undefined) return mixed().notRequired();
    const kind = string().oneOf(WINDOW_KINDS, noneOf(WINDOW_KINDS)).required('is missing');
    const named = typeof v === 'object' && v !== null && 'kind' in v ? v.kind : undefined;
    const of = WINDOW_KINDS.find((k) => k === named);
    return object({ kind, ...(of ? WINDOWS[of]() : {}) })
      .noUnknown()
      .required('is missing');
  });

const step = () =>
  object({
    key: text(40).required('is missing'),
    operation: text(40).required('is missing'),
    title: text(120),
    after: array(
      object({
        step: text(40).required('is missing'),
        days: measure(0, 1500, 'days'),
        seasons: measure(0, 15, 'seasons'),
        // the library’s own layers wait for a second filling of their kind
        warmth: byValue((v) =>
          v === 'layer again'
            ? string().oneOf(['layer again'])
            : object({ sum: measure(0, 10_000, ''), base: measure(-5, 20, '°C') }).default(undefined),
        ),
        optional: mixed<boolean>(),
        needs: text(60),
      }),
    )
      .max(8, 'waits for too many')
      .default([]),
    container: text(40),
    conditions: array(
      object({
        measure: string().oneOf(['caliper', 'height', 'fill']).required('is missing'),
        atLeast: measure(0, 20_000, '').required('is missing'),
        unit: string().oneOf(['mm', 'share']).required('is missing'),
      }),
    )
      .max(4)
      .default(undefined),
    window: windowSpec(),
    rootLoss: measure(0, 1, ''),
    topLoss: measure(0, 1, ''),
    only: object({ question: text(40).required(), options: array(text(40).required()).required() }).default(
      undefined,
    ),
  });

/** A programme as somebody wrote it; what it means is checked by the core. */
export const programmeBody = () =>
  object({
    name: text(100).required('is missing').matches(/\S/, 'is empty'),
    method: string().oneOf(METHODS).required('is missing'),
    summary: text(300).default(''),
    vigour: number()
      .integer('is not a whole number')
      .min(1, 'is below 1')
      .max(5, 'is above 5')
      .required('is missing'),
    caliper: measure(0.5, 500, 'mm'),
    schools: choices(),
    steps: array(step()).max(60, 'at most 60 steps').required('is missing'),
    cycles: array(
      object({
        steps: array(text(40).required()).required(),
        times: number().integer().min(1).max(10).required(),
        every: measure(0.1, 10, 'seasons').required(),
      }),
    ).default(undefined),
  });

/** A new version of a programme of one's own; `basedOn` is the version it was made from, 0 for a new one. */
export const saveProgramme = body({
  id: id(),
  programmeId: programmeKey(),
  basedOn: number().integer().min(0).required('is missing'),
  copyOf: text(60).nullable().default(null),
  programme: programmeBody(),
});
export type SaveProgramme = InferType<typeof saveProgramme>;

export interface ProgrammeRow {
  id: string;
  version: number;
  name: string;
  method: string;
  summary: string;
  steps: number;
  own: boolean;
  /** cohorts that follow it, and of those the ones on an older version */
  cohorts: number;
  behind: number;
}
export interface ProgrammeVersion {
  version: number;
  own: boolean;
  programme: Programme;
}

/** Carries a cohort to another programme or version, or to another goal. */
export const retargetCohort = body({
  id: id(),
  cohortId: id(),
  programmeId: programmeKey(),
  goalCaliper: measure(5, 500, 'mm').nullable().default(null),
  goal: text(200).default(''),
});
export type RetargetCohort = InferType<typeof retargetCohort>;

export interface RetargetAnswer {
  from: { name: string; version: number };
  to: { name: string; version: number };
  standsAt: string;
  kept: string[];
  /** steps passed over: before where it stands, and not done */
  leftOut: string[];
  change: CourseChange;
}
