import qrcode from 'qrcode';
import { isIsoDate } from '@gonimos/core/calendar';
import type { Method } from '@gonimos/core/programmes';
import { labelPages, type Label, type LabelPaper, type Squares } from '@gonimos/core/labels';
import type { Page } from '@gonimos/core/paper';
import type { UnitSystem } from '@gonimos/core/units';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { dayInWords } from '../paper/day.ts';
import { ruler } from '../paper/fonts.ts';

const HOW: Record<Method, string> = {
  seed: 'seed',
  cutting: 'cuttings',
  layer: 'layer',
  bought: 'bought in',
  lifted: 'lifted',
};

/** What labels say of cohorts, in the order they were asked for. `house`: address of the nursery, without a slash at its end. */
export async function readLabels(
  sql: Sql,
  ids: readonly string[],
  house: string,
  units: UnitSystem,
): Promise<Label[]> {
  const rows = await sql('cohort')
    .whereIn('id', [...ids])
    .select('id', 'code', 'taxonId', 'method', 'startedSaid');
  const byId = new Map(rows.map((r) => [r.id, r]));
  const began = (said: string) => (isIsoDate(said) ? dayInWords(said, units) : said);
  return ids.map((id) => {
    const row = byId.get(id);
    if (!row) throw notFound('cohort');
    const { name, botanical } = taxon(row.taxonId);
    return {
      code: row.code,
      name,
      botanical,
      began: `${HOW[row.method as Method]}, ${began(row.startedSaid)}`,
      opens: `${house}/cohorts/${id}`,
    };
  });
}

/** The code of squares of an address: a quarter of it may be lost to weather and still be read. */
export function squaresOf({ opens }: Label): Squares {
  const { modules } = qrcode.create(opens, { errorCorrectionLevel: 'Q' });
  return { size: modules.size, dark: (row, column) => modules.get(row, column) === 1 };
}

export const pagesOf = (labels: readonly Label[], paper: LabelPaper): Page[] =>
  labelPages(labels, paper, squaresOf, ruler);
