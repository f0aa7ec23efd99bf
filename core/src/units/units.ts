/**
 * Measures are kept in mm, litres, °C and m²; each person reads and types them in metric or US customary units.
 * Factors are exact by definition: NIST Special Publication 811 (2008), appendix B.8, from memory: 1 in = 25.4 mm,
 * 1 US gallon = 3.785411784 L, 1 ft² = 0.09290304 m², t/°F = 1.8 t/°C + 32.
 */
export const UNIT_SYSTEMS = ['metric', 'US'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/**
 * What is measured, and the unit it is kept in: length mm, volume L, temperature °C, a difference of two
 * temperatures °C, area m², warmth summed over days °C·d, speed m/s, weight kg.
 */
export type Quantity =
  | 'length'
  | 'volume'
  | 'temperature'
  | 'difference'
  | 'area'
  | 'warmth'
  | 'speed'
  | 'weight';

interface Unit {
  name: string;
  /** how else people write it */
  also: readonly string[];
  /** kept = value × per + from */
  per: number;
  from?: number;
}

const INCH = 25.4;
const GALLON = 3.785411784;
const FOOT2 = 0.09290304;
const F = 5 / 9;

const METRIC: Record<Quantity, readonly Unit[]> = {
  length: [
    { name: 'mm', also: [], per: 1 },
    { name: 'cm', also: [], per: 10 },
    { name: 'm', also: ['metre', 'metres', 'meter', 'meters'], per: 1000 },
  ],
  volume: [
    { name: 'L', also: ['l', 'litre', 'litres', 'liter', 'liters'], per: 1 },
    { name: 'ml', also: ['mL'], per: 0.001 },
  ],
  temperature: [{ name: '°C', also: ['C', 'c'], per: 1 }],
  difference: [{ name: '°C', also: ['C', 'c'], per: 1 }],
  area: [{ name: 'm²', also: ['m2'], per: 1 }],
  warmth: [{ name: '°C·d', also: [], per: 1 }],
  speed: [{ name: 'm/s', also: [], per: 1 }],
  weight: [
    { name: 'kg', also: [], per: 1 },
    { name: 'g', also: [], per: 0.001 },
  ],
};

const US: Record<Quantity, readonly Unit[]> = {
  length: [
    { name: 'in', also: ['"', '″', 'inch', 'inches'], per: INCH },
    { name: 'ft', also: ["'", '′', 'foot', 'feet'], per: 12 * INCH },
  ],
  volume: [
    { name: 'gal', also: ['gallon', 'gallons'], per: GALLON },
    { name: 'qt', also: ['quart', 'quarts'], per: GALLON / 4 },
    { name: 'fl oz', also: ['floz', 'oz'], per: GALLON / 128 },
  ],
  temperature: [{ name: '°F', also: ['F', 'f'], per: F, from: -32 * F }],
  difference: [{ name: '°F', also: ['F', 'f'], per: F }],
  area: [{ name: 'ft²', also: ['ft2', 'sq ft'], per: FOOT2 }],
  warmth: [{ name: '°F·d', also: [], per: F }],
  speed: [{ name: 'mph', also: [], per: 0.44704 }],
  weight: [
    { name: 'lb', also: ['lbs', 'pound', 'pounds'], per: 0.45359237 },
    { name: 'oz', also: [], per: 0.45359237 / 16 },
  ],
};

const SYSTEMS: Record<UnitSystem, Record<Quantity, readonly Unit[]>> = { metric: METRIC, US };

/** The unit in which a quantity is typed where none is named. */
export const unitOf = (quantity: Quantity, system: UnitSystem): string => SYSTEMS[system][quantity][0].name;

/** What is kept is finer than any hand measures, and reads back as it was typed. */
const KEPT_STEPS = 100;
// a half of the last step is a half, however the computer writes it
const kept = (value: number): number => Math.round(Number((value * KEPT_STEPS).toFixed(6))) / KEPT_STEPS;

const FRACTION = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/;

/** A number as people write it: "12", "12.5", "12,5", "3/8", "1 1/2", with either minus; NaN when it is none. */
function readNumber(text: string): number {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  const fraction = FRACTION.exec(plain);
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
  return /^-?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : NaN;
}

/** "½" and its like as digits, parted from a whole number before them. */
const plainFractions = (text: string): string =>
  text.replace(/[¼½¾⅛⅜⅝⅞]/g, (c) => ` ${c.normalize('NFKC').replace('⁄', '/')}`).trim();

const WRITTEN = /^([-−]?[\d.,/\s-]*?\d[\d.,/]*|[-−]?\.\d+)\s*([^\d\s.,/][^\d]*)?$/;

/** One number and its unit; NaN when it is none, or the unit measures something else. */
function readOne(text: string, quantity: Quantity, system: UnitSystem): number {
  const parts = WRITTEN.exec(text);
  if (!parts) return NaN;
  const name = parts[2]?.trim();
  const units = [...METRIC[quantity], ...US[quantity]];
  const unit =
    name === undefined
      ? SYSTEMS[system][quantity][0]
      : units.find((u) => [u.name, ...u.also].some((n) => n.toLowerCase() === name.toLowerCase()));
  return unit ? readNumber(parts[1]) * unit.per + (unit.from ?? 0) : NaN;
}

const FEET_AND_INCHES = /^(.+?(?:'|′|\s?ft|\s?feet|\s?foot))\s*(\d.*)$/;

/**
 * A measure as it was typed, in the unit it is kept in. Without a unit it is in the person's own. undefined when
 * nothing was typed, NaN when it is no such measure.
 *
 * @example readMeasure('3/8 in', 'length', 'metric') // 9.53
 * @example readMeasure('1 1/2', 'length', 'US') // 38.1
 * @example readMeasure('2 gal', 'volume', 'metric') // 7.57
 */
export function readMeasure(
  text: string | undefined,
  quantity: Quantity,
  system: UnitSystem,
): number | undefined {
  const said = plainFractions((text ?? '').trim());
  if (said === '') return undefined;
  const two = quantity === 'length' ? FEET_AND_INCHES.exec(said) : null;
  if (!two) return kept(readOne(said, quantity, system));
  // "2 ft 6": what follows feet is inches
  return kept(readOne(two[1], quantity, system) + readOne(two[2], quantity, 'US'));
}

/** Measures typed one after another, parted by spaces or semicolons: "6.2 5.8 7", "1/4 3/8; 1/2 in". */
export function readMeasures(text: string | undefined, quantity: Quantity, system: UnitSystem): number[] {
  const said = (text ?? '').trim();
  const named = /[^\d\s;.,/]+$/.exec(said)?.[0] ?? '';
  const numbers = named ? said.slice(0, -named.length) : said;
  return numbers
    .split(/[\s;]+/)
    .filter((part) => part !== '')
    .map((part) => readMeasure(/[^\d.,/]/.test(part) ? part : `${part}${named}`, quantity, system) ?? NaN);
}

const inUnit = (value: number, unit: Unit): number => (value - (unit.from ?? 0)) / unit.per;

/** The largest unit in which a measure is at least one, of those it is shown in. */
function shownUnit(value: number, quantity: Quantity, system: UnitSystem): Unit {
  const units = SYSTEMS[system][quantity];
  if (system === 'metric' || quantity === 'area') return units[0];
  if (quantity === 'length') return Math.abs(value) >= 6 * 12 * INCH ? units[1] : units[0];
  if (quantity === 'volume') return value >= GALLON ? units[0] : value >= GALLON / 4 ? units[1] : units[2];
  return units[0];
}

/** Decimals that say no more than was measured. */
function decimalsOf(value: number, unit: Unit): number {
  if (unit.name === 'in') return Math.abs(value) < 10 ? 2 : Math.abs(value) < 40 ? 1 : 0;
  if (unit.name === 'gal' || unit.name === 'qt' || unit.name === 'ft') return 1;
  if (unit.name === 'L') return value === 0 || Math.abs(value) >= 30 ? 0 : Math.abs(value) < 1 ? 2 : 1;
  if (unit.name === 'm²' || unit.name === 'ft²') return Math.abs(value) < 10 ? 1 : 0;
  if (unit.name === 'mph') return 0;
  if (unit.name === 'kg' || unit.name === 'lb') return Math.abs(value) < 10 ? 1 : 0;
  return unit.name === 'm/s' ? 1 : 0;
}

const trueMinus = (text: string): string => text.replace('-', '−');

/**
 * A measure as a person reads it. `decimals`: as many, where what is said is finer or coarser than usual.
 *
 * @example showMeasure(25.4, 'length', 'US') // "1.00 in"
 * @example showMeasure(-5, 'temperature', 'US') // "23 °F"
 */
export function showMeasure(
  value: number,
  quantity: Quantity,
  system: UnitSystem,
  decimals?: number,
): string {
  const unit = shownUnit(value, quantity, system);
  const shown = inUnit(value, unit);
  const places = decimals !== undefined && system === 'metric' ? decimals : decimalsOf(shown, unit);
  return `${trueMinus(shown.toFixed(places))} ${unit.name}`;
}

/** A measure as it first stands in an input: in the person's unit, so that it reads back as what is kept. */
export function fieldText(value: number | null | undefined, quantity: Quantity, system: UnitSystem): string {
  if (value === null || value === undefined) return '';
  if (system === 'metric') return String(value);
  return String(Number(inUnit(value, US[quantity][0]).toFixed(4)));
}

/** Units as parameters, figures and materials name them, and what one of them is in what is kept. */
const NAMED: Record<string, { quantity: Quantity; per: number }> = {
  mm: { quantity: 'length', per: 1 },
  cm: { quantity: 'length', per: 10 },
  m: { quantity: 'length', per: 1000 },
  L: { quantity: 'volume', per: 1 },
  '°C': { quantity: 'temperature', per: 1 },
  'm²': { quantity: 'area', per: 1 },
  'm/s': { quantity: 'speed', per: 1 },
  '°C·d': { quantity: 'warmth', per: 1 },
};

/**
 * A figure with the unit it is kept under, as a person reads it: a unit it begins with is put in theirs.
 *
 * @example showFigure(4.5, 'mm/season', 'US') // "0.18 in/season"
 */
export function showFigure(value: number, unit: string, system: UnitSystem): string {
  const name = Object.keys(NAMED)
    .filter((n) => unit === n || unit.startsWith(`${n} `) || unit.startsWith(`${n}/`))
    .sort((a, b) => b.length - a.length)[0];
  if (system === 'metric' || name === undefined)
    return `${trueMinus(String(value))}${unit ? ` ${unit}` : ''}`;
  const rest = unit.slice(name.length);
  const named = NAMED[name];
  const what = / (colder|warmer)/.test(rest) ? 'difference' : named.quantity;
  return `${showMeasure(value * named.per, what, system)}${inWords(rest, system)}`;
}

const NUMBER = String.raw`[-−]?\d+(?:\.\d+)?`;
const IN_TEXT = new RegExp(
  String.raw`(${NUMBER})(?:(–| to | × )(${NUMBER}))? (mm|cm|m²|m|L|°C·d|°C|m\/s)( colder| warmer)?(?![\w/·])`,
  'g',
);

/**
 * Words with the measures in them put in a person's units. "3 °C colder" is a difference, "3 °C" a temperature.
 *
 * @example inWords('at least 25 mm and 2 °C', 'US') // "at least 0.98 in and 36 °F"
 */
export function inWords(text: string, system: UnitSystem): string {
  if (system === 'metric') return text;
  return text.replace(
    IN_TEXT,
    (_, first: string, between: string | undefined, second: string | undefined, unit: string, than = '') => {
      const { quantity, per } = NAMED[unit];
      const what = than ? 'difference' : quantity;
      const say = (n: string) => showMeasure(Number(n.replace('−', '-')) * per, what, system);
      if (second === undefined) return `${say(first)}${than}`;
      const [from, to] = [say(first), say(second)];
      const shared = to.slice(to.search(/ [^\d]/));
      return `${from.endsWith(shared) ? from.slice(0, -shared.length) : from}${between}${to}${than}`;
    },
  );
}
