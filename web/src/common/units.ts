import {
  fieldText,
  inWords,
  readMeasure,
  readMeasures,
  showFigure,
  showMeasure,
  unitOf,
  type Quantity,
  type UnitSystem,
} from '@gonimos/core/units';

/** Units of whoever is signed in; known with the session, before the first page is drawn. */
let system: UnitSystem = 'metric';

export const unitSystem = (): UnitSystem => system;
export const keepUnits = (units: UnitSystem): void => {
  system = units;
};

/** A length, mm. `decimals`: of millimetres. */
export const length = (mm: number, decimals = 0): string => showMeasure(mm, 'length', system, decimals);
/** The side of a place: in metres, or in feet. */
export const far = (mm: number): string => (system === 'US' ? length(mm) : `${(mm / 1000).toFixed(1)} m`);
export const volume = (litres: number): string => showMeasure(litres, 'volume', system);
export const weight = (kg: number): string => showMeasure(kg, 'weight', system);
export const temperature = (celsius: number, decimals = 0): string =>
  system === 'US'
    ? showMeasure(celsius, 'temperature', system)
    : `${celsius.toFixed(decimals).replace('-', '−')} °C`;
export const area = (m2: number): string => showMeasure(m2, 'area', system);
export const warmth = (degreeDays: number): string => showMeasure(degreeDays, 'warmth', system);
export const speed = (metresASecond: number): string => showMeasure(metresASecond, 'speed', system);
/** A mark on the axis of a chart of temperatures, kept in °C. */
export const degrees = (celsius: number): string => temperature(celsius).replace(/ °[CF]$/, '°');
/** A difference of two temperatures with its sign. */
export const difference = (celsius: number): string =>
  `${celsius > 0 ? '+' : ''}${showMeasure(celsius, 'difference', system, Number.isInteger(celsius) ? 0 : 1)}`;

/** A figure under the unit it is kept in. */
export const figure = (value: number, unit: string): string => showFigure(value, unit, system);
/** Words with the measures in them in this person's units. */
export const inUnits = (text: string): string => inWords(text, system);

/** The unit a quantity is typed in where none is named, for hints. */
export const unit = (quantity: Quantity): string => unitOf(quantity, system);
/** What was typed, in the unit it is kept in; undefined when nothing was, NaN when it is none. */
export const typedMeasure = (text: string | undefined, quantity: Quantity): number | undefined =>
  readMeasure(text, quantity, system);
export const typedLength = (text: string | undefined): number | undefined => typedMeasure(text, 'length');
export const typedLengths = (text: string | undefined): number[] => readMeasures(text, 'length', system);
/** A measure as it first stands in an input. */
export const measureText = (value: number | null | undefined, quantity: Quantity = 'length'): string =>
  fieldText(value, quantity, system);
