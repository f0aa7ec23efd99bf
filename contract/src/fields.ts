import { isIsoDate } from '@gonimos/core/calendar';
import { hasContainer } from '@gonimos/core/containers';
import { hasTaxon } from '@gonimos/core/taxa';
import { array, number, object, string, type ObjectShape } from 'yup';

/** Field kinds shared by every schema: each refuses what the database could not keep. */
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f]/;
/** Letters nobody sees: two names may look the same and differ by them, or read backwards. */
const INVISIBLE = /[\u00ad\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff]/;

export const text = (most: number) =>
  string()
    .max(most, `at most ${most} letters`)
    .test('readable', 'holds letters that cannot be stored', (v) =>
      v === undefined || v === null ? true : v.isWellFormed() && !CONTROL.test(v),
    );

export const name = (most: number) =>
  text(most)
    .required('is missing')
    .test('visible', 'holds letters that cannot be seen', (v) => !INVISIBLE.test(v ?? ''))
    .matches(/[\p{L}\p{N}]/u, { message: 'is empty', excludeEmptyString: false });

export const id = () =>
  string()
    .required('is missing')
    .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/, 'is not a UUID');

export const date = () =>
  string()
    .required('is missing')
    // a field that may be empty is made nullable by whoever uses it
    .test(
      'date',
      'is not a date written YYYY-MM-DD',
      (v: string | null | undefined) => v === null || v === undefined || isIsoDate(v),
    );

export const count = (most = 100_000) =>
  number()
    .typeError('is not a number')
    .integer('is not a whole number')
    .min(0, 'is below 0')
    .max(most, `is above ${most.toLocaleString('en')}`);

export const measure = (least: number, most: number, unit: string) =>
  number()
    .typeError('is not a number')
    .min(least, `is below ${least} ${unit}`)
    .max(most, `is above ${most} ${unit}`);

export const taxonId = () =>
  string()
    .required('is missing')
    .test('taxon', 'is not in the library', (v) => hasTaxon(v ?? ''));
/** A taxon of the library, or none. */
export const optionalTaxonId = () =>
  string()
    .nullable()
    .default(null)
    .test('taxon', 'is not in the library', (v) => v === null || v === undefined || hasTaxon(v));
export const programmeId = () =>
  string()
    .required('is missing')
    .matches(/^[a-z0-9][a-z0-9-]{1,60}$/, 'is not in the library');
export const containerId = () =>
  string().test(
    'container',
    'is not in the library',
    (v) => v === undefined || v === null || hasContainer(v),
  );

export const code = () =>
  string()
    .required('is missing')
    .matches(/^[A-Z0-9][A-Z0-9·.-]{1,15}$/, 'is 2 to 16 capitals, digits, dots or hyphens');

/** What is wrong with a word that is none of those there are. */
export const noneOf = (words: readonly string[]) => `is none of ${words.join(', ')}`;

/** An object that refuses fields it does not know. */
export const body = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().required();

export const list = array;

export const version = () => measure(1, 1e9, '').required('is missing');
