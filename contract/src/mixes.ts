import type { DrainTest, Part } from '@gonimos/core/mixes';
import { recipeFaults } from '@gonimos/core/mixes';
import { array, string, type InferType } from 'yup';
import { body, date, id, measure, name } from './fields.ts';

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

/** A mix as the nursery makes it; `version` 0: for the first time. */
export const saveMix = body({
  id: id(),
  mixId: mixId(),
  version: measure(0, 1e9, '').required('is missing'),
  name: name(80),
  parts: array(
    body({
      component: string().max(60).required('is missing'),
      parts: measure(0, 100, 'parts').required('is missing'),
    }),
  ).required('is missing'),
  /** watered through, drained and measured in a pot: depth of the mix in mm, air of the volume 0..1 */
  drain: body({
    depth: measure(20, 1000, 'mm').required('is missing'),
    air: measure(0.005, 0.8, '').required('is missing'),
  })
    .nullable()
    .default(null),
}).test('mix', function (sent) {
  const [fault] = wellTyped(sent.parts) ? recipeFaults(sent.parts) : [];
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
});

/** Mix that work took: which, and litres of it ready mixed. */
export const mixTold = body({
  mix: mixId(),
  litres: measure(0.01, 20_000, 'L').required('is missing'),
});

export type SaveMix = InferType<typeof saveMix>;
export type CountMix = InferType<typeof countMix>;

/** A mix that can be used. */
export interface Mix {
  id: string;
  name: string;
  parts: Part[];
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
  version: number;
}

export interface Mixes {
  mixes: Mix[];
  stock: MixStock[];
}
