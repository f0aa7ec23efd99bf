import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import type { Course, RuleName } from '@gonimos/core/course';
import type { Method } from '@gonimos/core/programmes';
import type { Choices } from '@gonimos/core/schools';
import type { Remark } from '@gonimos/core/starts';
import type { Share } from '@gonimos/core/stats';
import type { RingRun } from '@gonimos/core/trunk';
import { array, boolean, string, type InferType } from 'yup';
import { choices } from './schools.ts';
import { body, code, containerId, count, id, measure, name, programmeId, taxonId, text } from './fields.ts';

const SOME_DAY = '2000-06-15';
/** A start may be known to the day, month, season, year or as a range. */
const started = () =>
  string()
    .required('is missing')
    .test(
      'uncertain',
      'is not a date such as 2027-03-12, spring 2027 or 2026-2027, nor an age such as 2 or 3 years',
      (v) =>
        // which day it is told on does not decide whether it can be read
        Boolean(v && readUncertainDate(v, 'north', SOME_DAY)),
    );

/** Where the plants stand from now on. */
export const standingTold = body({ placeId: id() });

/** As it is kept: with where they stood before. */
export const standingKept = standingTold.shape({ before: id() });

const goal = () => ({
  goalCaliper: measure(5, 500, 'mm').nullable().default(null),
  goal: text(200).default(''),
});

/** Where plants came from that were not raised here. */
const origin = () =>
  body({
    /** grower, garden, hillside: from whom or where */
    source: name(200),
    /** whose leave plants were lifted by; asked for where they were not bought */
    permission: text(300).default(''),
    /** cents for all of them */
    price: count(100_000_000).nullable().default(null),
    /** years since seed or cutting; null: not known */
    age: measure(0, 300, 'years').nullable().default(null),
    ageHow: string().oneOf(['known', 'told', 'guessed']).default('told'),
    /** held apart until looked at again */
    quarantine: boolean().default(true),
  });

const maybe = () => array(taxonId()).max(3, 'names more than three').default([]);

export const newCohort = body({
  id: id(),
  code: code(),
  taxonId: taxonId(),
  /** kinds it may be instead, until leaves or flowers tell */
  maybe: maybe(),
  programmeId: programmeId(),
  placeId: id(),
  container: containerId().required('is missing'),
  started: started(),
  count: count().min(1, 'is below 1').required('is missing'),
  parentId: id().notRequired().nullable().default(null),
  goalId: id().notRequired().nullable().default(null),
  lotId: id().notRequired().nullable().default(null),
  /** the cohort in whose pots it stands as a guest */
  hostId: id().notRequired().nullable().default(null),
  origin: origin().notRequired().nullable().default(null),
  /** the step stock with years behind it stands at; null: from the beginning */
  standsAt: text(40).nullable().default(null),
  schools: choices(),
  note: text(2000).default(''),
  ...goal(),
});

export const editCohort = body({
  id: id(),
  version: measure(1, 1e9, '').required('is missing'),
  code: code(),
  placeId: id(),
  /** the reason for a move that goes against the exposure rule */
  moveAnyway: text(300).default(''),
  schools: choices(),
  note: text(2000).default(''),
  ...goal(),
});

/** The course of a cohort that does not exist yet. */
export const previewCourse = body({
  taxonId: taxonId(),
  maybe: maybe(),
  lotId: id().notRequired().nullable().default(null),
  programmeId: programmeId(),
  placeId: id(),
  started: started(),
  count: count().min(1, 'is below 1').required('is missing'),
  container: containerId().nullable().default(null),
  standsAt: text(40).nullable().default(null),
  schools: choices(),
  /** whose guests they would be, in one pot */
  hostId: id().notRequired().nullable().default(null),
});

export const splitCohort = body({
  id: id(),
  newId: id(),
  newCode: code(),
  placeId: id(),
  count: count().min(1, 'is below 1').required('is missing'),
  note: text(2000).default(''),
});

/** Leaves or flowers have told: which of the kinds it might be it is. */
export const settleKind = body({ id: id(), taxonId: taxonId(), reason: text(300).default('') });

export const promotePlant = body({
  id: id(),
  newId: id(),
  newCode: code(),
  tag: text(30).required('is missing').matches(/\S/, 'is empty'),
  note: text(2000).default(''),
});

export type Origin = InferType<ReturnType<typeof origin>>;
export type NewCohort = InferType<typeof newCohort>;
export type EditCohort = InferType<typeof editCohort>;
export type PreviewCourse = InferType<typeof previewCourse>;
export type SplitCohort = InferType<typeof splitCohort>;
export type SettleKind = InferType<typeof settleKind>;
export type PromotePlant = InferType<typeof promotePlant>;

/** One line of the register. */
export interface CohortRow {
  id: string;
  code: string;
  taxonId: string;
  method: Method;
  placeId: string;
  container: string;
  startedSaid: string;
  startedFrom: string;
  live: number;
  pending: number;
  /** plants alive, or seed that may still come up */
  growing: boolean;
  goalCaliper: number | null;
  nextTitle: string | null;
  nextOpens: string | null;
  nextCloses: string | null;
  nextRule: RuleName | null;
  rings: RingRun;
  /** held apart since, and for what; null: it is not */
  held: { since: string; found: string } | null;
  /** codes and tags it had before */
  formerly: string[];
  tag: string | null;
}

/** A course before it is entered, with what should be heard first. */
export type CoursePreview = Course & { remarks: Remark[] };

export interface Cohort extends CohortRow {
  /** kinds it may be instead */
  maybe: string[];
  /** live growth low on the stem, as last looked for */
  lowGrowth: { on: string; seen: boolean } | null;
  programmeId: string;
  programmeName: string;
  startedTo: string;
  programmeVersion: number;
  /** newest version of its programme, when that is later */
  newerVersion: number | null;
  schools: Choices;
  /** last tally of bud stages this season */
  buds: { on: string; looked: number; ready: number } | null;
  /** held apart since, and what was found */
  quarantine: { since: string; found: string } | null;
  goal: string;
  note: string;
  parentId: string | null;
  parentCode: string | null;
  goalId: string | null;
  lot: { id: string; name: string } | null;
  host: { id: string; code: string } | null;
  /** guests that stand in its pots */
  guests: { id: string; code: string; live: number }[];
  origin: Origin | null;
  trays: number;
  version: number;
  started: number;
  lostBeforeEmergence: number;
  emerged: number;
  viability: Share | null;
  fieldEmergence: Share | null;
  plants: { id: string; tag: string; promotedOn: string; cohortId: string | null }[];
}
