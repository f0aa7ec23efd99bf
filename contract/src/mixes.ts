import type { DrainTest, Part, Under } from '@gonimos/core/mixes';
import { recipeFaults } from '@gonimos/core/mixes';
import { array, boolean, string, type InferType } from 'yup';
import { body, count, date, id, measure, name, text } from './fields.ts';

/** The name a mix is kept under: one of the library's, or a new one. */
const mixId = () =>
  string()
    .required('is missing')
    .matches(/^[a-z0-9-]{1,60}$/, 'is 1 to 60 small letters, digits or hyphens');

const litres = () => measure(0, 1e6, 'L');

/** Whether parts can be looked at as a whole; their fields tell what is wrong with the rest. */
const wellTyped = (parts: unknown): parts is Part[] =>
  Array.isArray(parts) &&
  parts.every((p: Partial<Part> | null) => typeof p?.component === 'string' && typeof p.parts === 'number');
const wellTypedUnder = (under: unknown): under is Under | null =>
  under === null || wellTyped((under as Partial<Under>).parts);

const someParts = () =>
  array(
    body({
      component: string().max(60).required('is missing'),
      parts: measure(0, 100, 'parts').required('is missing'),
    }),
  ).required('is missing');

/** A mix as the nursery makes it; `version` 0: for the first time. */
export const saveMix = body({
  id: id(),
  mixId: mixId(),
  version: measure(0, 1e9, '').required('is missing'),
  name: name(80),
  parts: someParts(),
  /** coarser mix below the roots: its share of the depth, 0..1 */
  under: body({ share: measure(0, 1, '').required('is missing'), parts: someParts() })
    .nullable()
    .default(null),
  /** watered through, drained and measured in a pot: depth of the mix in mm, air of the volume 0..1 */
  drain: body({
    depth: measure(20, 1000, 'mm').required('is missing'),
    air: measure(0.005, 0.8, '').required('is missing'),
  })
    .nullable()
    .default(null),
}).test('mix', function (sent) {
  const typed = wellTyped(sent.parts) && wellTypedUnder(sent.under);
  const [fault] = typed ? recipeFaults(sent.parts, sent.under) : [];
  return fault ? this.createError({ path: fault.field, message: fault.text }) : true;
});

/** Loose components counted in the bins, litres, and what is on its way. */
export const countMix = body({
  id: id(),
  component: string().max(60).required('is missing'),
  version: measure(0, 1e9, '').required('is missing'),
  counted: litres().required('is missing'),
  arriving: litres().default(0),
  arrives: date().nullable().notRequired().default(null),
  /** what a litre of it costs, cents; null: not known */
  cents: count().nullable().notRequired().default(null),
});

const ready = () => measure(0.01, 20_000, 'L').required('is missing');

/** Mix that is made ahead: its components leave the bins today. */
export const makeBatch = body({
  id: id(),
  mix: mixId(),
  on: date(),
  litres: ready(),
  note: text(400).default(''),
});
/** A batch that was told in error, before anything was taken from it. */
export const withdrawBatch = body({ id: id(), batchId: id() });

/** Mix that work took: which, and litres of it ready mixed; from a batch, or made for it. */
export const mixTold = body({
  mix: mixId(),
  litres: ready(),
  batch: string().uuid('is not an id').nullable().default(null),
  /** old mix that was put by for use again, litres sieved; only once it was looked through */
  back: measure(0, 20_000, 'L').default(0),
  healthy: boolean().default(false),
}).test('healthy', function (told) {
  // a part that was not told is let through by its own fields
  if (!told || !(told.back > 0) || told.healthy) return true;
  const message = 'is not said: old mix is used again only where no pest and no rot was found in it';
  return this.createError({ path: `${this.path}.healthy`, message });
});

export type MakeBatch = InferType<typeof makeBatch>;
export type WithdrawBatch = InferType<typeof withdrawBatch>;
export type SaveMix = InferType<typeof saveMix>;
export type CountMix = InferType<typeof countMix>;

/** A mix that can be used. */
export interface Mix {
  id: string;
  name: string;
  parts: Part[];
  under: Under | null;
  drain: DrainTest | null;
  /** of the nursery's own, or changed by it */
  own: boolean;
  /** 0: as the library has it */
  version: number;
}

/** A component in the bins. */
export interface MixStock {
  component: string;
  /** litres: as counted, less what work took since; null: never counted */
  have: number | null;
  countedOn: string | null;
  arriving: number;
  arrives: string | null;
  /** litres from the bag that steps of the next ninety days want */
  wanted: number;
  /** of a litre; null: not known */
  cents: number | null;
  version: number;
}

/** Mix that was made ahead and is not used up. */
export interface MixBatch {
  id: string;
  mix: string;
  madeOn: string;
  litres: number;
  left: number;
  /** litres from the bag that went in */
  parts: { component: string; litres: number }[];
  note: string;
  by: string | null;
}

export interface Mixes {
  mixes: Mix[];
  stock: MixStock[];
  batches: MixBatch[];
}
