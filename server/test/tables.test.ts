import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { migrate, openDatabase } from '../src/db/index.ts';
import { fromColumn, fromDatabase, toColumn } from '../src/db/names.ts';
import { freshDatabase } from './harness.ts';

const SOURCE = readFileSync(new URL('../src/db/tables.ts', import.meta.url), 'utf8');
/** The type of a table's rows; tables of one shape share it. */
const rowName = (table: string) => new RegExp(` ${table}: Table<(\\w+)>`).exec(SOURCE)?.[1] ?? 'none';

/** Columns of a table as the code types them, each with whether it may be empty. */
function typed(table: string): string[] {
  const body = new RegExp(`export interface ${rowName(table)} \\{\\n([^}]*)\\n\\}`).exec(SOURCE)?.[1] ?? '';
  // a type written over several lines is one field
  const fields = body.replace(/\n {4,}/g, ' ').split('\n');
  return fields.map((f) => `${f.trim().split(':')[0]}${/\| null|unknown/.test(f) ? '?' : ''}`).sort();
}

describe('types of the tables', () => {
  it('are those of the database: every table, every column, and what may be empty', async () => {
    const made = await freshDatabase();
    await migrate(made.url);
    const db = openDatabase(made.url, 1);
    const { rows } = await db.raw<{ rows: { t: string; c: string; empty: boolean; json: boolean }[] }>(
      `SELECT c.table_name AS t, c.column_name AS c, c.is_nullable = 'YES' AS empty, c.data_type IN ('json', 'jsonb') AS json
       FROM information_schema.columns c JOIN information_schema.tables x USING (table_schema, table_name)
       WHERE c.table_schema = 'public' AND x.table_type = 'BASE TABLE' AND c.table_name NOT LIKE 'knex%'`,
    );
    await db.destroy();
    await made.drop();
    const tables = [...new Set(rows.map((r) => r.t))];
    expect(tables.length).to.be.above(30);
    for (const t of tables) {
      const own = rows.filter((r) => r.t === t);
      const unsaid = new Set(typed(t).filter((f) => own.some((r) => r.json && `${fromColumn(r.c)}?` === f)));
      const want = own.map(
        (r) => `${fromColumn(r.c)}${r.empty || unsaid.has(`${fromColumn(r.c)}?`) ? '?' : ''}`,
      );
      expect(typed(t), t).to.deep.equal(want.sort());
    }
  });

  it('have the names of the code, and what is in a column keeps its own', () => {
    expect(toColumn('taxonId')).to.equal('taxon_id');
    expect(fromColumn('root_bound_on')).to.equal('rootBoundOn');
    for (const name of ['id', 'wallMinutes', 'a1']) expect(fromColumn(toColumn(name))).to.equal(name);
    const told = { lot_id: 7, details: { some_key: 1 } };
    expect(fromDatabase([told])).to.deep.equal([{ lotId: 7, details: { some_key: 1 } }]);
    expect(fromDatabase({ rows: [told], rowCount: 1 })).to.deep.include({
      rows: [{ lotId: 7, details: { some_key: 1 } }],
    });
    expect(fromDatabase(['a_b'])).to.deep.equal(['a_b']);
    expect(fromDatabase(3)).to.equal(3);
  });
});
