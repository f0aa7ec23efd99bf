import { CELL_STATES, MOST_CELLS, type CellState } from '@gonimos/core/trays';
import { array, boolean, string, type InferType } from 'yup';
import { body, count, date, id, name, noneOf, text } from './fields.ts';

const state = () => string<CellState>().oneOf(CELL_STATES, noneOf(CELL_STATES)).required('is missing');

export const newTray = body({
  id: id(),
  name: name(20),
  rows: count(60).min(1, 'is below 1').required('is missing'),
  columns: count(60).min(1, 'is below 1').required('is missing'),
  /** cells filled at once, from the first on */
  fill: count(MOST_CELLS).default(0),
}).test('size', `at most ${MOST_CELLS} cells`, (t) => t.rows * t.columns <= MOST_CELLS);

export const markCells = body({
  id: id(),
  on: date(),
  marks: array(body({ cell: count(MOST_CELLS).required('is missing'), was: state(), now: state() }))
    .min(1, 'is empty')
    .max(MOST_CELLS, `at most ${MOST_CELLS} marks`)
    .required('is missing'),
  /** why, for cells that were lost */
  cause: text(60).nullable().default(null),
});
export const undoMarks = body({ id: id() });

/** Kept with a record that the marks of a tray have written. */
export const traysKept = body({ fromCells: boolean().required() });

export type NewTray = InferType<typeof newTray>;
export type MarkCells = InferType<typeof markCells>;

export interface Tray {
  id: string;
  name: string;
  rows: number;
  columns: number;
  cells: CellState[];
  /** marks made, newest first, so that they can be taken back */
  marks: { id: string; on: string; by: string; count: number; now: CellState; undone: boolean }[];
}

export interface Trays {
  trays: Tray[];
  /** of the cohort's ledger, and how much of it lies in no tray */
  ledger: { pending: number; live: number };
  outside: { seed: number; plants: number };
}

export interface MarkOutcome {
  tray: Tray;
  /** cells somebody else marked meanwhile: what you saw, what they made of it, what you wanted */
  conflicts: { cell: number; was: CellState; is: CellState; wanted: CellState; by: string }[];
  marked: number;
  /** no seed is left to show: emergence was counted with this mark, and the course goes on */
  counted: boolean;
}
