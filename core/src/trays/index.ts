import type { EntryType } from '../ledger/index.ts';

/** What stands in a cell. */
export const CELL_STATES = ['empty', 'sown', 'eaten', 'up', 'twin', 'lost', 'potted'] as const;
export type CellState = (typeof CELL_STATES)[number];

/** The key that marks a cell. */
export const CELL_KEYS: Record<string, CellState> = {
  u: 'up',
  e: 'eaten',
  t: 'twin',
  l: 'lost',
  p: 'potted',
  s: 'sown',
  x: 'empty',
};

/** What a cell has told the ledger: the seed showed, was lost before or after, was potted on. */
export const EFFECTS = ['emerged', 'lost_before_emergence', 'lost', 'potted'] as const;
export type Effect = (typeof EFFECTS)[number];
export interface CellEffect {
  type: Effect & EntryType;
  cause: string | null;
}

/** A cell as it stands, with the effects the ledger holds for it. */
export interface Cell {
  state: CellState;
  effects: CellEffect[];
}

const has = (cell: Cell, type: Effect) => cell.effects.some((e) => e.type === type);

/** A seedling set into the cell, not seed sown in it: its emergence was counted elsewhere. */
const isPricked = (cell: Cell, to: CellState): boolean =>
  cell.state === 'empty'
    ? to !== 'sown'
    : cell.state !== 'sown' && !has(cell, 'emerged') && !has(cell, 'lost_before_emergence');

/**
 * What a cell's ledger entries must be once it stands in a state. What is true already is kept, so that a
 * correction takes back only what was wrong: seed that had shown and is then eaten stays counted as up.
 */
export function effectsOf(cell: Cell, to: CellState, cause: string | null): CellEffect[] {
  const pricked = isPricked(cell, to);
  const emerged: CellEffect[] = pricked ? [] : [{ type: 'emerged', cause: null }];
  switch (to) {
    case 'empty':
    case 'sown':
      return [];
    case 'up':
    case 'twin':
      return emerged;
    case 'potted':
      return [...emerged, { type: 'potted', cause: null }];
    case 'eaten':
    case 'lost': {
      const why = cause ?? (to === 'eaten' ? 'eaten' : 'unknown');
      return pricked || has(cell, 'emerged')
        ? [...emerged, { type: 'lost', cause: why }]
        : [{ type: 'lost_before_emergence', cause: why }];
    }
  }
}

/** Marks that make no sense, in words; null when the cell may be marked so. */
export function markFault(from: CellState, to: CellState): string | null {
  if (from === 'empty' && to === 'eaten') return 'nothing was sown in it';
  if (from === 'empty' && to === 'lost') return 'nothing stands in it';
  if (from === 'empty' && to === 'potted') return 'nothing stands in it';
  if (from === 'potted' && to === 'empty') return 'what stood in it was potted on, the cell is free already';
  return null;
}

/** Cells by state. */
export function cellCounts(states: readonly CellState[]): Record<CellState, number> {
  const counts = Object.fromEntries(CELL_STATES.map((s) => [s, 0])) as Record<CellState, number>;
  for (const s of states) counts[s]++;
  return counts;
}

/** Seed still lying in cells, and plants standing in them. */
export const standingIn = (c: Record<CellState, number>) => ({ seed: c.sown, plants: c.up + c.twin });

/** Sizes trays come in, rows by columns; any other may be given. */
export const TRAY_SIZES = [
  [7, 15],
  [6, 10],
  [5, 8],
  [4, 6],
  [10, 20],
] as const;
export const MOST_CELLS = 600;

/** A tray's cells in a rectangle between two corners, as cell numbers. */
export function cellsBetween(a: number, b: number, columns: number): number[] {
  const [ra, rb] = [Math.floor(a / columns), Math.floor(b / columns)].sort((x, y) => x - y);
  const [ca, cb] = [a % columns, b % columns].sort((x, y) => x - y);
  const cells: number[] = [];
  for (let r = ra; r <= rb; r++) for (let c = ca; c <= cb; c++) cells.push(r * columns + c);
  return cells;
}

/** "C7": the row by letter, the column by number. */
export const cellName = (cell: number, columns: number): string => {
  const row = Math.floor(cell / columns);
  const letters = row < 26 ? String.fromCharCode(65 + row) : `A${String.fromCharCode(65 + row - 26)}`;
  return `${letters}${(cell % columns) + 1}`;
};
