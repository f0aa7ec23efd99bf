import type { CohortRow } from '@gonimos/contract/cohorts';
import { taxon } from '@gonimos/core/taxa';
import { caliperBefore } from '@gonimos/core/trunk';

/** A cohort as the register shows it. */
export interface Line {
  row: CohortRow;
  taxonName: string;
  placeName: string;
  /** mm at the end of the last season */
  trunk: number;
}

export const linesOf = (
  rows: readonly CohortRow[],
  season: number,
  placeName: (id: string) => string,
): Line[] =>
  rows.map((row) => ({
    row,
    taxonName: taxon(row.taxonId).name,
    placeName: placeName(row.placeId),
    trunk: caliperBefore(row.rings, season),
  }));

/** What is looked for; '' for everything. */
export interface Wanted {
  /** anywhere in code, tag, names before, kind, place or next step; small letters */
  text: string;
  taxonId: string;
  placeId: string;
  method: string;
  state: '' | 'due' | 'growing' | 'gone';
}

function inState(row: CohortRow, state: Wanted['state'], today: string): boolean {
  if (state === 'due') return row.growing && row.nextOpens !== null && row.nextOpens <= today;
  if (state === 'gone') return !row.growing;
  return state === '' || row.growing;
}

const wordsOf = ({ row, taxonName, placeName }: Line): string =>
  [row.code, row.tag, ...row.formerly, taxonName, taxon(row.taxonId).botanical, row.nextTitle, placeName]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();

export const fits = (line: Line, w: Wanted, today: string): boolean =>
  (w.taxonId === '' || line.row.taxonId === w.taxonId) &&
  (w.placeId === '' || line.row.placeId === w.placeId) &&
  (w.method === '' || line.row.method === w.method) &&
  inState(line.row, w.state, today) &&
  (w.text === '' || wordsOf(line).includes(w.text));

/** Text that sorts as people count: HB-5 before HB-36. */
const counted = (text: string): string => text.toLowerCase().replace(/\d+/g, (n) => n.padStart(8, '0'));

/** Columns by name, with what each is sorted by. */
export const COLUMNS = {
  code: { header: 'Cohort', by: (l: Line) => counted(l.row.code) },
  taxonName: { header: 'Taxon', by: (l: Line) => l.taxonName.toLowerCase() },
  live: { header: 'Alive', by: (l: Line) => l.row.live },
  trunk: { header: 'Trunk', by: (l: Line) => l.trunk },
  startedFrom: { header: 'Started', by: (l: Line) => l.row.startedFrom },
  placeName: { header: 'Place', by: (l: Line) => counted(l.placeName) },
  next: { header: 'Next step', by: (l: Line) => l.row.nextOpens ?? '9999' },
} as const;
export type Column = keyof typeof COLUMNS;

/** Lines in order of a column; a minus before its name turns the order round. Unknown names sort by code. */
export function inOrder(lines: readonly Line[], sort: string): Line[] {
  const down = sort.startsWith('-');
  const name = down ? sort.slice(1) : sort;
  const { by } = name in COLUMNS ? COLUMNS[name as Column] : COLUMNS.code;
  const keyed = lines.map((line) => ({ line, key: by(line) }));
  keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
  const sorted = keyed.map((k) => k.line);
  return down ? sorted.reverse() : sorted;
}
