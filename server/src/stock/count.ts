import type { Sql } from '../db/index.ts';

/** What somebody found on a shelf or in a bin, and what is on its way. */
interface Found {
  version: number;
  counted: number;
  arriving: number;
  arrives?: string | null;
}

/** A count as it is kept: what work takes from the last record on is taken off it. */
export async function countRow(sql: Sql, c: Found, today: string) {
  const last = await sql('record').max({ seq: 'seq' }).first<{ seq: number | null }>();
  return {
    counted: c.counted,
    countedOn: today,
    countedSeq: last?.seq ?? 0,
    arriving: c.arriving,
    arrives: c.arrives ?? null,
    version: c.version + 1,
  };
}
