import type { Choice } from './choices.ts';

/** A choice for one root in the circle. */
export interface Option {
  choice: Choice;
  /** place of its root in the order */
  at: number;
  cost: number;
  value: number;
}

export const NONE = -Infinity;

/** Points by feeders that may go, in tenths of a per cent. */
export type Row = Float64Array<ArrayBuffer>;

/** Best points of roots from one on that fill no direction, by feeders that may go; `rows[i]`: from the i-th on. */
export function bareAfter(bare: readonly Option[][], limit: number): Row[] {
  const rows: Row[] = [];
  rows[bare.length] = new Float64Array(limit + 1);
  for (let i = bare.length - 1; i >= 0; i--) rows[i] = withOptions(rows[i + 1], bare[i]);
  return rows;
}

/** The same for the roots before one. */
export function bareBefore(bare: readonly Option[][], limit: number): Row[] {
  const rows: Row[] = [new Float64Array(limit + 1)];
  for (let i = 0; i < bare.length; i++) rows.push(withOptions(rows[i], bare[i]));
  return rows;
}

function withOptions(rest: Row, options: readonly Option[]): Row {
  const out = new Float64Array(rest.length).fill(NONE);
  for (const { cost, value } of options)
    for (let b = cost; b < out.length; b++) out[b] = Math.max(out[b], rest[b - cost] + value);
  return out;
}

/** Room that is used again: tables of many megabytes are wanted many times while a root is dragged. */
let room = new Float64Array(0);

/** A row of points by feeders left, for each root and each option that may have been kept before it; one at a time. */
export class Table {
  private readonly data: Row;

  constructor(
    private readonly options: number,
    private readonly roots: number,
    private readonly width: number,
  ) {
    const size = (roots + 1) * options * width;
    if (room.length < size) room = new Float64Array(size);
    this.data = room;
  }

  private at(root: number, option: number): number {
    return (root * this.options + option) * this.width;
  }

  row(root: number, option: number): Row {
    const from = this.at(root, option);
    return this.data.subarray(from, from + this.width);
  }

  /** What comes after the last root. */
  start(option: number, points: number): void {
    this.row(this.roots, option).fill(points);
  }

  clear(root: number, option: number): void {
    this.row(root, option).fill(NONE);
  }

  /** Lifts a row to what it comes to when `kept` is the last kept root after it, for so much and so many points. */
  lift(root: number, option: number, kept: number, cost: number, gain: number): void {
    const { data } = this;
    const to = this.at(root, option);
    const end = to + this.width;
    let rest = this.at(root + 1, kept);
    // a plain loop: it runs millions of times while a root is dragged
    for (let b = to + cost; b < end; b++, rest++) {
      const sum = data[rest] + gain;
      if (sum > data[b]) data[b] = sum;
    }
  }
}
