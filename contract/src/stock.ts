import { type InferType } from 'yup';
import { body, containerId, count, date, id, measure } from './fields.ts';

/** Containers counted on the shelf, and what is on its way. */
export const countStock = body({
  id: id(),
  container: containerId().required('is missing'),
  version: measure(0, 1e9, '').required('is missing'),
  counted: count().required('is missing'),
  arriving: count().default(0),
  arrives: date().nullable().notRequired().default(null),
  /** found past use: cracked, brittle, holes too wide; not among those counted */
  worn: count().default(0),
});
/** What came of a delivery that was expected, and when the rest comes; null: never. */
export const arrival = body({
  id: id(),
  container: containerId().required('is missing'),
  version: measure(1, 1e9, '').required('is missing'),
  came: count().required('is missing'),
  rest: date().nullable().notRequired().default(null),
});
export type Arrival = InferType<typeof arrival>;
export type CountStock = InferType<typeof countStock>;

export interface StockRow {
  container: string;
  /** on the shelf now: as counted, less what was used since; null: never counted */
  have: number | null;
  countedOn: string | null;
  arriving: number;
  arrives: string | null;
  /** wanted by steps of the next ninety days */
  wanted: number;
  /** past use when it was counted */
  worn: number;
  /** steps that speak for it, the nearest first; as many as are shown */
  wants: StockWant[];
  /** what no shelf and no delivery covers: how many, and from which day on; null: all is covered */
  short: { count: number; on: string } | null;
  version: number;
}

/** A step that speaks for containers on its day. */
export interface StockWant {
  cohortId: string;
  code: string;
  count: number;
  on: string;
}
