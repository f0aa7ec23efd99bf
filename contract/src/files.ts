import { boolean, string, type InferType } from 'yup';
import { body, id } from './fields.ts';

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
  /** identity of this import: sent twice, it is done once */
  id: id(),
  csv: string().required('is missing').max(2_000_000, 'is over 2 MB'),
  /** false: look for faults and write nothing */
  confirm: boolean().default(false),
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
