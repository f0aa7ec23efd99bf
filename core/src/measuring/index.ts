import { outliersOf } from '../stats/index.ts';
import { readMeasure, type UnitSystem } from '../units/index.ts';

/** A caliper taken up to here above the soil is one of the base, mm. Common practice, no source. */
const BASE_UP_TO = 30;

/** Whether calipers taken so many mm above the soil are those of the base; where nobody said, they were. */
export const isOfBase = (at: number | undefined): boolean => (at ?? 0) <= BASE_UP_TO;

/** Plants of a sample differ by so much anyhow: to twice as much, or half. */
const ALIKE = Math.log(2);

/**
 * A size that stands apart from the others of its sample; plants differ by shares, so their logarithms are compared.
 * null where none does.
 */
export function standsApart(values: readonly number[]): number | null {
  const [far] = outliersOf(values.map(Math.log), ALIKE);
  return far === undefined ? null : Math.round(10 * Math.exp(far)) / 10;
}

/**
 * The size in a line that a measuring tool sent, mm; null where the line is none. Without a unit it is in the
 * person's own.
 *
 * @example readingOf('+12.34', 'metric') // 12.34; readingOf('0.5 in', 'metric') // 12.7; readingOf('Err', 'metric') // null
 */
export function readingOf(line: string, system: UnitSystem): number | null {
  const mm = readMeasure(line.trim().replace(/^\+/, ''), 'length', system);
  return mm !== undefined && mm > 0 ? mm : null;
}

/** A stream cut into lines as it comes: what is not ended yet is kept for the next piece. */
export function lineCutter(): (piece: string) => string[] {
  let rest = '';
  return (piece) => {
    const lines = (rest + piece).split(/\r\n|\n|\r/);
    rest = lines.pop() ?? '';
    return lines.filter((line) => line.trim() !== '');
  };
}

/** Lines of a file that are read at most. */
const LINES_MOST = 2000;

/**
 * Sizes out of a file or a pasted column: one to a line, the last figure of the line where there are more (a number of
 * the plant before it). A first line of words is passed over; every other line that is no size is told.
 *
 * @example readColumn('plant;mm\n1;12.3\n2;x', 'metric') // { values: [12.3], faults: ['line 3 is no size: 2;x'] }
 */
export function readColumn(text: string, system: UnitSystem): { values: number[]; faults: string[] } {
  const values: number[] = [];
  const faults: string[] = [];
  const lines = text.split(/\r\n|\n|\r/).slice(0, LINES_MOST);
  lines.forEach((line, i) => {
    if (line.trim() === '') return;
    // a comma before digits may be a decimal one: only a semicolon or a tab parts cells for sure
    const cell = line.split(/[;\t]/).at(-1)!.trim();
    const size = readingOf(cell, system);
    if (size !== null) values.push(size);
    else if (i > 0 || /\d/.test(cell)) faults.push(`line ${i + 1} is no size: ${line.trim().slice(0, 40)}`);
  });
  return { values, faults };
}
