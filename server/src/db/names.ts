/** Names of columns: small letters with underscores in the database, camel case in the code. */

const snakes = new Map<string, string>();
const camels = new Map<string, string>();

function once(kept: Map<string, string>, name: string, make: (name: string) => string): string {
  let made = kept.get(name);
  if (made === undefined) {
    made = make(name);
    kept.set(name, made);
  }
  return made;
}

/** @example toColumn('taxonId') // 'taxon_id' */
export const toColumn = (name: string): string =>
  once(snakes, name, (n) => n.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`));
/** @example fromColumn('taxon_id') // 'taxonId' */
export const fromColumn = (name: string): string =>
  once(camels, name, (n) => n.replace(/_([a-z0-9])/g, (_, letter: string) => letter.toUpperCase()));

/** A row as a statement takes it that reads its columns out of JSON; what is in a column stays as it is. */
export const asColumns = (row: object): Record<string, unknown> =>
  Object.fromEntries(Object.entries(row).map(([name, value]) => [toColumn(name), value]));

type Row = Record<string, unknown>;
const isRow = (x: unknown): x is Row =>
  typeof x === 'object' && x !== null && !Array.isArray(x) && !(x instanceof Date) && !Buffer.isBuffer(x);

/** Rows of one answer all have the same columns: names are worked out once. */
function named(rows: readonly unknown[]): unknown[] {
  const [first] = rows;
  if (!isRow(first)) return [...rows];
  const names = Object.keys(first).map((column) => ({ column, name: fromColumn(column) }));
  if (names.every((n) => n.name === n.column)) return [...rows];
  return (rows as Row[]).map((row) => {
    const out: Row = {};
    for (const { column, name } of names) out[name] = row[column];
    return out;
  });
}

/** An answer of the database with the names of the code. */
export function fromDatabase(answer: unknown): unknown {
  if (Array.isArray(answer)) return named(answer);
  if (!isRow(answer)) return answer;
  // what raw statements give
  if (Array.isArray(answer.rows)) return Object.assign(answer, { rows: named(answer.rows) });
  return named([answer])[0];
}
