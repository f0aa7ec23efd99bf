import { strToU8, zipSync, type Zippable } from 'fflate';
import Papa from 'papaparse';
import { MIGRATIONS } from '../db/migrations/index.ts';
import { AS_THE_DATABASE_HAS_IT, type Db } from '../db/index.ts';
import { columnsOf, type Column } from './tables.ts';

/** What everything.json holds. */
export interface Everything {
  /** the last migration of the schema it was written from */
  schema: string;
  tables: Record<string, Record<string, unknown>[]>;
}

const readme = (tables: Map<string, Column[]>, schema: string): string =>
  [
    'Everything of a nursery kept in Gonimos, as open files.',
    '',
    'tables/NAME.csv    every table, UTF-8 with commas; dates are YYYY-MM-DD, lists and records are JSON',
    'everything.json    the same rows, for reading back: npm run read-back -- FILE.zip into an empty nursery',
    'pictures/ID.jpg    pictures, and pictures.csv beside them with what each belongs to',
    '',
    `Written by the schema ${schema}. Passwords and sessions are not in here: after reading back,`,
    'npm run owner -- NAME gives an owner a new password.',
    '',
    'Columns:',
    ...[...tables].flatMap(([name, columns]) => [
      '',
      name,
      ...columns.map(
        (c) => `  ${c.name.padEnd(20)} ${c.type}${c.generated ? ', worked out from the others' : ''}`,
      ),
    ]),
    '',
  ].join('\n');

/** A value as it stands in a cell of a CSV. */
const cell = (v: unknown): unknown => (typeof v === 'object' && v !== null ? JSON.stringify(v) : v);

/** The whole nursery as one zip of open files, as one moment shows it. */
export async function writeEverything(db: Db): Promise<Buffer> {
  return db.transaction(
    async (trx) => {
      const tables = await columnsOf(trx);
      const schema = MIGRATIONS.at(-1)!.name;
      const files: Zippable = { 'README.txt': strToU8(readme(tables, schema)) };
      const all: Everything = { schema, tables: {} };
      for (const [table, columns] of tables) {
        const names = columns.map((c) => c.name);
        const { rows } = await trx.raw<{ rows: { row: Record<string, unknown> }[] }>(
          `SELECT to_jsonb(t) - 'password_hash' AS row FROM ${table} t`,
        );
        const own = rows.map((r) => r.row);
        all.tables[table] = own;
        const lines = own.map((r) => Object.fromEntries(names.map((n) => [n, cell(r[n])])));
        files[`tables/${table}.csv`] = strToU8(
          Papa.unparse(lines, { columns: names, newline: '\r\n', escapeFormulae: true }),
        );
      }
      files['everything.json'] = strToU8(JSON.stringify(all));
      const pictures = await trx('picture').queryContext(AS_THE_DATABASE_HAS_IT).select();
      const about = pictures.map(({ bytes: _b, thumb: _t, ...p }) => p as Record<string, unknown>);
      files['pictures/pictures.csv'] = strToU8(Papa.unparse(about, { newline: '\r\n' }));
      for (const p of pictures) {
        files[`pictures/${p.id}.jpg`] = [p.bytes, { level: 0 }];
        files[`pictures/thumbs/${p.id}.jpg`] = [p.thumb, { level: 0 }];
      }
      return Buffer.from(zipSync(files, { level: 6 }));
    },
    { isolationLevel: 'repeatable read', readOnly: true },
  );
}
