import type { Sql } from '../db/index.ts';

/** What is not the nursery's: who is signed in, secrets, receipts of writes, and what is worked off by itself. */
const NOT_OURS = ['session', 'failed_sign_in', 'setting', 'write_receipt', 'plan_due', 'picture'];

export interface Column {
  table: string;
  name: string;
  type: string;
  /** worked out by the database itself */
  generated: boolean;
}

/** Columns of every table of the nursery, in the order they were made. Passwords are nobody's to take along. */
export async function columnsOf(sql: Sql): Promise<Map<string, Column[]>> {
  const rows: Column[] = await sql('information_schema.columns')
    .where({ table_schema: 'public' })
    .whereNotIn('table_name', NOT_OURS)
    .whereIn(
      'table_name',
      // a view tells nothing the tables do not
      sql('information_schema.tables').where({ table_type: 'BASE TABLE' }).select('table_name'),
    )
    .whereNot('table_name', 'like', 'knex%')
    .whereNot('column_name', 'password_hash')
    .orderBy(['table_name', 'ordinal_position'])
    .select({
      table: 'table_name',
      name: 'column_name',
      type: 'data_type',
      generated: sql.raw(`is_generated = 'ALWAYS'`),
    });
  const tables = new Map<string, Column[]>();
  for (const c of rows) tables.set(c.table, [...(tables.get(c.table) ?? []), c]);
  return tables;
}
