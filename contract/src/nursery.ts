import type { Light } from '@gonimos/core/course';
import type { Choices } from '@gonimos/core/schools';
import { array, number, string, type InferType } from 'yup';
import { wrongHemisphere } from '@gonimos/core/climates';
import { body, id, measure, name } from './fields.ts';

const monthly = () =>
  array(measure(-60, 60, '°C').required('is missing'))
    .length(12, 'wants twelve monthly values')
    .required('is missing');

const validZone = (zone: string | undefined) => {
  try {
    return Intl.DateTimeFormat('en', { timeZone: zone }) !== null;
  } catch {
    return false;
  }
};

export const siteFields = () => ({
  latitude: measure(-66, 66, '°')
    .required('is missing')
    .test('hemisphere', function (latitude) {
      const { tmin, tmax } = this.parent as { tmin?: number[]; tmax?: number[] };
      const wrong = tmin && tmax ? wrongHemisphere({ latitude, tmin, tmax }) : null;
      return wrong === null || this.createError({ message: wrong });
    }),
  longitude: measure(-180, 180, '°').required('is missing'),
  elevation: measure(-400, 5000, 'm').required('is missing'),
  timeZone: string().required('is missing').test('zone', 'is not a time zone', validZone),
  tmin: monthly(),
  tmax: monthly().test('above', 'is below the minimum in some month', function (tmax) {
    const tmin = (this.parent as { tmin?: number[] }).tmin;
    return !tmax || !tmin || tmax.every((t, i) => t >= (tmin[i] ?? -99));
  }),
  spreadWinter: measure(0.5, 10, '°C').required('is missing'),
  spreadSummer: measure(0.5, 10, '°C').required('is missing'),
  wetFrom: measure(1, 12, '').integer('is not a month').nullable().default(null),
});
const stationUrl = () =>
  string()
    .max(300, 'at most 300 letters')
    .matches(/^https?:\/\/\S+$/, { message: 'is not an http address', excludeEmptyString: true })
    .test('address', 'is not an http address', (v) => !v || URL.canParse(v))
    .nullable()
    .default(null);

export const editNursery = body({
  id: id(),
  version: measure(1, 1e9, '').required('is missing'),
  name: name(80),
  stationUrl: stationUrl(),
  ...siteFields(),
});

export const PLACE_KINDS = ['outdoors', 'frame', 'house', 'ground'] as const;
export const LIGHTS = ['full', 'half', 'shade'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];
/** Nights in a place without heating are hardly this much warmer than outside, °C. Common practice, no source. */
const WARMEST_UNHEATED = 10;
const placeFields = () => ({
  name: name(60),
  kind: string().oneOf(PLACE_KINDS, 'is outdoors, frame, house or ground').required('is missing'),
  night: measure(-10, 20, '°C').required('is missing'),
  day: measure(-10, 20, '°C').required('is missing'),
  heatedTo: measure(-10, 30, '°C')
    .nullable()
    .default(null)
    .test(
      'heated',
      'is missing: without heating no place stays so warm through the night',
      function (heated) {
        const { night } = this.parent as { night?: number };
        return heated !== null || !(Number(night) > WARMEST_UNHEATED);
      },
    ),
  light: string<Light>().oneOf(LIGHTS, 'is full, half or shade').default('full'),
  /** room plants can stand on, mm; null: not measured */
  length: measure(100, 200_000, 'mm').nullable().default(null),
  width: measure(100, 50_000, 'mm').nullable().default(null),
});
export const newPlace = body({ id: id(), ...placeFields() });
export const editPlace = body({
  id: id(),
  version: measure(1, 1e9, '').required('is missing'),
  ...placeFields(),
});
export const stepCalendar = body({
  id: id(),
  days: number()
    .integer('is not a whole number')
    .min(1, 'is below 1')
    .max(91, 'is above 91')
    .required('is missing'),
});

export type EditNursery = InferType<typeof editNursery>;
export type NewPlace = InferType<typeof newPlace>;
export type EditPlace = InferType<typeof editPlace>;

export interface Nursery {
  id: string;
  name: string;
  today: string;
  demo: boolean;
  version: number;
  latitude: number;
  longitude: number;
  elevation: number;
  timeZone: string;
  tmin: number[];
  tmax: number[];
  spreadWinter: number;
  spreadSummer: number;
  wetFrom: number | null;
  schools: Choices;
  stationUrl: string | null;
}

export interface Place {
  id: string;
  name: string;
  kind: PlaceKind;
  night: number;
  day: number;
  heatedTo: number | null;
  light: Light;
  /** room plants can stand on, mm; null: not measured */
  length: number | null;
  width: number | null;
  version: number;
  cohorts: number;
}
