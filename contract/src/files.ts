import { boolean, string, type InferType } from 'yup';
import { body, count, id } from './fields.ts';

/** Columns of the register as CSV; reading accepts the first nine, writing gives all. */
export const CSV_IN = [
  'code',
  'taxon',
  'programme',
  'place',
  'container',
  'started',
  'count',
  'goal_caliper_mm',
  'note',
] as const;
export const CSV_OUT = [...CSV_IN, 'live', 'not_yet_up', 'next_step', 'opens', 'closes'] as const;

export const importCohorts = body({
  /** identity of this write: sent twice, it is done once */
  id: id(),
  /** identity of the whole file: its lines keep their own by it, in whatever parts they are sent */
  importId: id(),
  csv: string().required('is missing').max(2_000_000, 'is over 2 MB'),
  /** false: look for faults and write nothing */
  confirm: boolean().default(false),
  /** lines of the file to be entered now, so that a long one goes in parts and can be stopped between them */
  from: count().min(2, 'is below 2').default(2),
  to: count().default(100_000),
});
export type ImportCohorts = InferType<typeof importCohorts>;

export interface ImportLine {
  line: number;
  code: string;
  ok: boolean;
  faults: { field: string; reason: string }[];
  /** what would be, or was, entered */
  summary: string;
}
export interface ImportReport {
  lines: ImportLine[];
  good: number;
  bad: number;
  written: number;
  /** faults of the file as a whole */
  faults: string[];
}
