import type { LabStart } from '@gonimos/core/lab';
import type { RootRecord } from '@gonimos/core/roots';
import type { BenchStep } from './bench-step.ts';
import {
  BANDS,
  bandFaults,
  CHOP_WAYS,
  FEEDS,
  MOVES,
  ROLES,
  VITALITIES,
  STEM_PARTS,
  STYLES,
  stemFaults,
  wireFaults,
  type Band,
  type ChopWay,
  type Feeds,
  type Move,
  type Role,
  type Vitality,
  type Sprouts,
  type StemBand,
  type StemPartKind,
  type StemRecord,
  type StemWire,
  type StyleId,
} from '@gonimos/core/stem';
import type { Lean } from '@gonimos/core/stance';
import { GAUGES, METALS, type Metal } from '@gonimos/core/wire';
import { array, string, type AnyObject, type InferType, type ObjectSchema } from 'yup';
import { lean, offMiddle, type StanceRow } from './stance.ts';
import { body, date, id, measure, noneOf, text, version } from './fields.ts';

/** Most parts that are told of one stem. */
const PARTS_MOST = 80;
const GIRTHS_MOST = 12;
/** As many as go into the register at once. */
const WIRES_MOST = 40;
/** Sides that are left open as fronts. */
const FRONTS_MOST = 4;

const height = () => measure(0, 20_000, 'mm').required('is missing');

const partId = () => string().matches(/^[a-z0-9-]{1,12}$/, 'is 1 to 12 small letters, digits or hyphens');

const part = body({
  id: partId().required('is missing'),
  kind: string<StemPartKind>().oneOf(STEM_PARTS, noneOf(STEM_PARTS)).required('is missing'),
  height: height(),
  azimuth: measure(0, 360, '°').required('is missing'),
  diameter: measure(0, 500, 'mm').required('is missing'),
  since: date().nullable().default(null),
  foliage: measure(0.05, 2, '').nullable().default(null),
  feeds: string<Feeds>().oneOf(FEEDS, noneOf(FEEDS)).nullable().default(null),
  role: string<Role>().oneOf(ROLES, noneOf(ROLES)).nullable().default(null),
  rise: measure(-90, 120, '°').nullable().default(null),
  vitality: string<Vitality>().oneOf(VITALITIES, noneOf(VITALITIES)).nullable().default(null),
  long: measure(5, 20_000, 'mm').nullable().default(null),
  note: text(200).default(''),
});

/** Whether what was sent can be looked at as a whole; the fields tell what is wrong with the rest. */
function wellTyped(sent: unknown): StemRecord | null {
  const r = sent as Partial<StemRecord> | null;
  const figures = (x: unknown, names: readonly string[]) =>
    names.every((n) => Number.isFinite((x as Record<string, unknown> | null)?.[n]));
  if (!figures(r, ['base', 'height']) || !Array.isArray(r?.parts) || !Array.isArray(r.girths)) return null;
  if (r.parts.length > PARTS_MOST || r.girths.length > GIRTHS_MOST) return null;
  if (!r.parts.every((p) => figures(p, ['height', 'diameter', 'azimuth']))) return null;
  return r.girths.every((g) => figures(g, ['at', 'mm'])) ? (r as StemRecord) : null;
}

/** The stem of one plant as it was seen: at least its base and height. */
export const stemRecord = body({
  base: measure(0.5, 2000, 'mm').required('is missing'),
  height: measure(10, 20_000, 'mm').required('is missing'),
  front: measure(0, 360, '°').required('is missing'),
  girths: array(
    body({
      at: measure(1, 20_000, 'mm').required('is missing'),
      mm: measure(0.5, 2000, 'mm').required('is missing'),
    }),
  )
    .max(GIRTHS_MOST, `at most ${GIRTHS_MOST} calipers`)
    .default([]),
  parts: array(part).max(PARTS_MOST, `at most ${PARTS_MOST} parts`).required('is missing'),
}).test('whole', function (sent) {
  const whole = wellTyped(sent);
  const [fault] = whole ? stemFaults(whole) : [];
  if (!fault) return true;
  return this.createError({
    path: `${this.path ? `${this.path}.` : ''}${fault.field}`,
    message: fault.text,
  });
});

const METAL_NAMES = Object.keys(METALS) as Metal[];

/** A wire that is wanted on it, or is to be put on. */
const wire = body({
  part: partId().nullable().default(null),
  to: measure(10, 20_000, 'mm').nullable().default(null),
  metal: string<Metal>().oneOf(METAL_NAMES, noneOf(METAL_NAMES)).required('is missing'),
  gauge: measure(1, 6, 'mm')
    .nullable()
    .default(null)
    .test('sold', noneOf(GAUGES.map(String)), (g) => g == null || GAUGES.some((x) => x === g)),
  moves: string<Move>().oneOf(MOVES, noneOf(MOVES)).required('is missing'),
  with: partId().nullable().default(null),
});

/** What is wanted of it: the tree it is to become, and where it is to be cut. */
const decided = body({
  /** finished height, mm; null: not thought of yet */
  finished: measure(30, 5000, 'mm').nullable().default(null),
  style: string<StyleId>()
    .oneOf(
      STYLES.map((s) => s.id),
      noneOf(STYLES.map((s) => s.id)),
    )
    .default('usual'),
  /** how it is come to; null: as the school has it */
  way: string<ChopWay>().oneOf(CHOP_WAYS, noneOf(CHOP_WAYS)).nullable().default(null),
  /** where it is to be cut, mm; null: not decided */
  cutAt: measure(1, 20_000, 'mm').nullable().default(null),
  wires: array(wire).max(WIRES_MOST, `at most ${WIRES_MOST} wires`).default([]),
  bands: array(
    body({
      what: string<Band>().oneOf(BANDS, noneOf(BANDS)).required('is missing'),
      at: measure(1, 20_000, 'mm').required('is missing'),
      metal: string<Metal>().oneOf(METAL_NAMES, noneOf(METAL_NAMES)).required('is missing'),
    }),
  )
    .max(BANDS.length, `at most ${BANDS.length} bands`)
    .default([]),
  aside: offMiddle(),
  behind: offMiddle(),
  lean: lean(),
  /** sides that may be the front besides the one that is drawn, degrees: decided another time */
  fronts: array(measure(0, 360, '°').required())
    .max(FRONTS_MOST, `at most ${FRONTS_MOST} fronts`)
    .default([]),
});

/** A list of things that can be looked at one by one; an empty one where it is no list of such. */
function listOf<T>(sent: unknown, most: number): T[] {
  if (!Array.isArray(sent) || sent.length > most) return [];
  return sent.every((x: unknown) => typeof x === 'object' && x !== null) ? (sent as T[]) : [];
}

/** Wires and bands are on what is there. */
const laid = <T extends AnyObject>(schema: ObjectSchema<T>) =>
  schema.test('wires', function (sent) {
    const { record, decided: wanted } = sent as {
      record?: unknown;
      decided?: { wires?: unknown; bands?: unknown };
    };
    const whole = wellTyped(record);
    if (!whole) return true;
    const [fault] = [
      ...wireFaults(whole, listOf<StemWire>(wanted?.wires, WIRES_MOST)),
      ...bandFaults(whole, listOf<StemBand>(wanted?.bands, BANDS.length)),
    ];
    return fault ? this.createError({ path: `decided.${fault.field}`, message: fault.text }) : true;
  });

const drawn = {
  label: text(30).default(''),
  on: date(),
  record: stemRecord,
  decided,
  note: text(1000).default(''),
};

export const newStemRecord = laid(body({ id: id(), cohortId: id(), ...drawn }));
export const changeStemRecord = laid(body({ id: id(), version: version(), ...drawn }));
export const withdrawStemRecord = body({ id: id(), version: version() });

export type NewStemRecord = InferType<typeof newStemRecord>;
export type ChangeStemRecord = InferType<typeof changeStemRecord>;

export interface StemRecordRow {
  id: string;
  label: string;
  on: string;
  /** one kept before something was asked lacks it */
  record: StemRecord;
  decided: NewStemRecord['decided'];
  note: string;
  version: number;
  by: string;
}

/** A stem as it was last drawn. */
export interface StemDrawn {
  label: string;
  record: StemRecord;
  /** finished height, mm; null: not thought of yet */
  finished: number | null;
}

/** Everything the stem's page needs to know of a cohort. */
export interface StemBench {
  records: StemRecordRow[];
  /** the plant before the next season it can grow in */
  start: LabStart;
  /** schools of the cohort */
  way: ChopWay;
  wounds: string;
  /** how the kind breaks below a cut, by the library and by what was seen here */
  sprouts: Sprouts;
  /** roots as they were last drawn, by the name of the plant that was drawn */
  roots: { label: string; on: string; record: RootRecord; lean: Lean | null }[];
  /** how each plant was last decided to stand, at this bench or at its roots */
  stances: StanceRow[];
  /** what it stands in */
  container: string;
  /** the next work on stem and crown that the course has; null: none */
  step: BenchStep | null;
  /** left at the last work on it */
  left: { on: string; lines: string[] } | null;
  /** wires of the kind that came off: how many, on how many what they held stayed, and days they were on in the median */
  held: { off: number; kept: number; days: number | null };
}
