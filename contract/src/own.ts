import { FINISHES } from '@gonimos/core/containers';
import type { Own } from '@gonimos/core/library';
import { CHILL_NEED, EASE, FREE_RING, GROWTH_GROUPS, type SowTime } from '@gonimos/core/taxa';
import { array, boolean, number, object, string, tuple, type InferType } from 'yup';
import { body, id, measure, name, noneOf, text } from './fields.ts';
import { windowSpec } from './library.ts';

const oneOf = <T extends string>(words: readonly T[]) =>
  string<T>().oneOf(words, noneOf(words)).required('is missing');
const keys = <T extends string>(of: Record<T, unknown>) => Object.keys(of) as T[];
export const SOW_TIMES: readonly SowTime[] = ['early summer', 'autumn'];
const ownId = () =>
  string()
    .required('is missing')
    .matches(/^[a-z0-9][a-z0-9-]{1,58}$/, 'is small letters, digits and hyphens');
const needed = (least: number, most: number, unit: string) =>
  measure(least, most, unit).required('is missing');

const windows = () =>
  object(Object.fromEntries([...keys(GROWTH_GROUPS), 'warm', 'any'].map((group) => [group, windowSpec()])))
    .noUnknown()
    .required('is missing');

const operationEdit = () =>
  object({
    name: name(60),
    windows: windows(),
    crew: number()
      .integer('is not a whole number')
      .min(1, 'is below 1')
      .max(10, 'is above 10')
      .required('is missing'),
    skilled: boolean().required('is missing'),
    tools: array(name(40)).max(12, 'at most 12 tools').required('is missing'),
    rootLoss: needed(0, 0.95, ''),
    topLoss: needed(0, 0.98, ''),
    recovery: needed(0, 10, 'seasons'),
    established: measure(0, 10, 'seasons').nullable().default(null),
    guard: measure(-40, 20, '°C').nullable().default(null),
    minutes: needed(0.01, 600, 'minutes'),
    aftercare: array(text(40).required('is missing')).max(20).required('is missing'),
    caution: text(400).default(''),
  })
    .noUnknown()
    .required('is missing');

const ease = () => oneOf(keys(EASE));
const taxonEdit = () =>
  object({
    botanical: name(80),
    name: name(60),
    code: string()
      .required('is missing')
      .matches(/^[A-Z]{2}$/, 'is two capitals'),
    group: oneOf(keys(GROWTH_GROUPS)),
    phenology: oneOf(keys(CHILL_NEED)),
    buds: oneOf(['early', 'middle', 'late']),
    pace: oneOf(keys(FREE_RING)),
    bark: oneOf(['smooth', 'coarse']),
    sproutsOld: boolean().required('is missing'),
    roots: object({ softwood: ease(), 'semi-ripe': ease(), hardwood: ease(), root: ease(), water: ease() })
      .noUnknown()
      .required('is missing'),
    layering: ease(),
    hardyTo: needed(-60, 15, '°C'),
    emergence: needed(10, 3000, '°C·d'),
    stratification: needed(0, 400, 'days'),
    warmStratification: needed(0, 400, 'days'),
    scarify: boolean().required('is missing'),
    sown: string<SowTime>()
      .nullable()
      .default(null)
      .test('sown', 'is early summer, autumn or none', (v) => v === null || SOW_TIMES.includes(v)),
    keeps: needed(0, 60, 'years'),
    caution: text(400).default(''),
  })
    .noUnknown()
    .required('is missing');

const WALLS = ['smooth', 'air-pruning', 'grooved', 'porous'] as const;
const sides = (least: number, most: number) =>
  tuple([needed(least, most, 'mm'), needed(least, most, 'mm')]).required('is missing');

/** Inside measures of a container, mm. */
const containerEdit = () =>
  object({
    name: name(60),
    wall: oneOf(WALLS),
    shape: oneOf(['round', 'box']),
    rim: sides(20, 5000),
    base: sides(10, 5000),
    depth: needed(10, 2000, 'mm'),
    shared: boolean().required('is missing'),
    /** of a pot to be looked at with its tree */
    look: object({ colour: name(40), finish: oneOf(FINISHES) })
      .noUnknown()
      .nullable()
      .notRequired()
      .default(null),
  })
    .noUnknown()
    .required('is missing');

/** What every version of one's own says: which it is, made from which of the library's, and after which version. */
const made = () => ({
  id: id(),
  ownId: ownId(),
  like: ownId(),
  /** the version it was made from; 0 for the first */
  basedOn: number().integer().min(0).required('is missing'),
});

/** A next version of an operation of one's own. */
export const saveOperation = body({ ...made(), edit: operationEdit() });
export type SaveOperation = InferType<typeof saveOperation>;
/** A next version of a taxon of one's own. */
export const saveTaxon = body({ ...made(), edit: taxonEdit() });
export type SaveTaxon = InferType<typeof saveTaxon>;

/** A next version of a container of one's own. */
export const saveContainer = body({ ...made(), edit: containerEdit() });
export type SaveContainer = InferType<typeof saveContainer>;

/** Takes an operation or taxon back to what the library says of it. */
export const letGo = body({
  id: id(),
  kind: oneOf(['operation', 'taxon']),
  ownId: ownId(),
  basedOn: number().integer().min(1).required('is missing'),
});
export type LetGo = InferType<typeof letGo>;

/** The nursery's own over the library; `upTo` grows with every version kept. */
export interface OwnLibrary {
  upTo: string;
  own: Own[];
}

/** A version as it was kept. */
export interface OwnVersion {
  kind: Own['kind'];
  id: string;
  version: number;
  /** went back to the library's */
  letGo: boolean;
  at: string;
  by: string;
}
