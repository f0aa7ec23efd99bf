import { createHash } from 'node:crypto';
import Papa from 'papaparse';
import { ValidationError } from 'yup';
import { newCohort, type CohortRow, type NewCohort } from '@gonimos/contract/cohorts';
import { CSV_IN, CSV_OUT, type ImportLine, type ImportReport } from '@gonimos/contract/files';
import type { Place } from '@gonimos/contract/nursery';
import { containers } from '@gonimos/core/containers';
import { taxa } from '@gonimos/core/taxa';

const nameOf = <T extends { id: string; name: string }>(all: readonly T[], id: string) =>
  all.find((x) => x.id === id)?.name ?? id;

/** The register as CSV (RFC 4180), with names instead of keys; reads back through `readLines`. */
export function writeRegister(
  rows: (CohortRow & { programmeName: string; note: string })[],
  places: Place[],
): string {
  const lines = rows.map((r) => ({
    code: r.code,
    taxon: taxa().find((t) => t.id === r.taxonId)?.botanical ?? r.taxonId,
    programme: r.programmeName,
    place: nameOf(places, r.placeId),
    container: nameOf(containers(), r.container),
    started: r.startedSaid,
    count: r.live || r.pending,
    goal_caliper_mm: r.goalCaliper ?? '',
    note: r.note,
    live: r.live,
    not_yet_up: r.pending,
    next_step: r.nextTitle ?? '',
    opens: r.nextOpens ?? '',
    closes: r.nextCloses ?? '',
  }));
  // a cell that a spreadsheet would run as a formula is written as text
  return Papa.unparse(lines, { columns: [...CSV_OUT], newline: '\r\n', escapeFormulae: true });
}

const MOST_LINES = 2000;
type Cells = Partial<Record<(typeof CSV_IN)[number], string>>;

/** A stable id for a line of an import, so that confirming twice enters it once. */
function lineId(importId: string, line: number): string {
  const h = createHash('sha256').update(`${importId} ${line}`).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`;
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** What is said of a number that can be read in two ways; null when it can be read in one or none. */
export function twoReadings(text: string): string | null {
  const grouped = /^(\d{1,3})[.,](\d{3})$/.exec(text);
  if (grouped)
    return `may be ${grouped[1]}${grouped[2]} or ${Number(`${grouped[1]}.${grouped[2]}`)}: write it without ${text.includes(',') ? 'a comma' : 'a point'}`;
  if (/^0[xob]/i.test(text)) return `may be ${Number(text) || 'nothing'} or a slip: write plain digits`;
  if (/^\d+e\d+$/i.test(text)) return `may be ${Number(text)} or a slip: write plain digits`;
  return null;
}

/** Finds the key of what a cell names, by key or by name; the cell itself when nothing fits. */
function keyOf(all: readonly { id: string; name: string; botanical?: string }[], cell: string | undefined) {
  const text = cell ?? '';
  const found = all.find((x) => same(x.id, text) || same(x.name, text) || same(x.botanical ?? '', text));
  return found?.id ?? text;
}

interface Known {
  places: Place[];
  codes: Set<string>;
  programmes: { id: string; name: string }[];
}

function readCells(cells: Cells, id: string, known: Known): NewCohort {
  const { places, codes, programmes } = known;
  const cell = (k: keyof Cells) => (cells[k] ?? '').trim();
  const faults: ValidationError[] = [];
  const fault = (field: string, reason: string) => faults.push(new ValidationError(reason, null, field));
  const number = (column: keyof Cells): number | undefined => {
    const text = cell(column);
    const doubt = twoReadings(text);
    if (doubt) fault(column, doubt);
    return text === '' || doubt ? undefined : Number(text.replace(',', '.'));
  };
  if (cell('place') !== '' && !places.some((p) => p.id === keyOf(places, cell('place'))))
    fault('place', 'is not a place of this nursery');
  if (cell('programme') !== '' && !programmes.some((p) => p.id === keyOf(programmes, cell('programme'))))
    fault('programme', 'is not in the library');
  if (codes.has(cell('code'))) fault('code', 'is taken by another cohort');
  const input = {
    id,
    code: cell('code'),
    taxonId: keyOf(taxa(), cell('taxon')),
    programmeId: keyOf(programmes, cell('programme')),
    placeId: keyOf(places, cell('place')),
    container: keyOf(containers(), cell('container')),
    started: cell('started'),
    count: number('count'),
    goal: '',
    note: cell('note'),
    goalCaliper: number('goal_caliper_mm') ?? null,
    schools: {},
    parentId: null,
    standsAt: null,
    maybe: [],
    goalId: null,
    lotId: null,
    hostId: null,
    origin: null,
  };
  try {
    newCohort.validateSync(input, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const told = new Set(faults.map((f) => f.path));
    const again = (e: ValidationError) => told.has(COLUMN_OF[e.path ?? ''] ?? '');
    faults.push(...error.inner.filter((e) => !again(e)));
  }
  if (faults.length > 0) throw new ValidationError(faults);
  return input as NewCohort;
}

const COLUMN_OF: Record<string, string> = {
  taxonId: 'taxon',
  programmeId: 'programme',
  placeId: 'place',
  goalCaliper: 'goal_caliper_mm',
};

export interface ReadLine extends ImportLine {
  cohort: NewCohort | null;
}

/** Reads a CSV of new cohorts line by line; a bad line never spoils a good one. */
export function readLines(
  csv: string,
  importId: string,
  known: Known,
): Omit<ImportReport, 'lines'> & { lines: ReadLine[] } {
  const report = { lines: [] as ReadLine[], good: 0, bad: 0, written: 0, faults: [] as string[] };
  const parsed = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const columns = parsed.meta.fields ?? [];
  const missing = CSV_IN.slice(0, 7).filter((c) => !columns.includes(c));
  if (missing.length > 0)
    report.faults.push(`Missing column${missing.length > 1 ? 's' : ''}: ${missing.join(', ')}`);
  if (parsed.data.length > MOST_LINES) report.faults.push(`More than ${MOST_LINES} lines`);
  if (missing.length === 0 && parsed.data.length === 0) report.faults.push('No lines below the heading');
  if (report.faults.length > 0) return report;

  const codes = new Set(known.codes);
  parsed.data.forEach((cells, i) => {
    const line = i + 2;
    const code = (cells.code ?? '').trim();
    const broken = parsed.errors.find((e) => e.row === i);
    try {
      if (broken) throw new ValidationError(broken.message, null, 'line');
      const cohort = readCells(cells, lineId(importId, line), { ...known, codes });
      codes.add(cohort.code);
      const summary = `${cohort.count} × ${nameOf(taxa(), cohort.taxonId)}, ${nameOf(containers(), cohort.container)}`;
      report.lines.push({ line, code, ok: true, faults: [], summary, cohort });
      report.good++;
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      const inner = error.inner.length > 0 ? error.inner : [error];
      const faults = inner.map((e) => ({
        field: COLUMN_OF[e.path ?? ''] ?? e.path ?? 'line',
        reason: e.message,
      }));
      report.lines.push({ line, code, ok: false, faults, summary: '', cohort: null });
      report.bad++;
    }
  });
  return report;
}
