import { operation } from '@gonimos/core/operations';
import type { Paper } from '@gonimos/core/paper';
import { planCuts, rootCard, termsOf } from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';
import { inWords, type UnitSystem } from '@gonimos/core/units';
import { notFound, Refusal } from '../http/problem.ts';
import { dayInWords } from '../paper/day.ts';
import { ruler } from '../paper/fonts.ts';
import { pdfOf } from '../paper/pdf.ts';
import type { House } from '../write/types.ts';
import { readRootBench } from './service.ts';

/** The card of a kept drawing: the plan is worked out from what was kept, so paper and screen say the same. */
export async function readRootCard(
  house: Pick<House, 'db' | 'planning'>,
  cohortId: string,
  recordId: string,
  units: UnitSystem,
  paper: Paper,
): Promise<{ name: string; pdf: Buffer }> {
  const bench = await readRootBench(house, cohortId);
  const row = bench.records.find((r) => r.id === recordId);
  const cohort = await house.db('cohort').where({ id: cohortId }).first('code', 'taxonId');
  if (!row || !cohort) throw notFound('root record');
  const terms = termsOf(taxon(cohort.taxonId), bench.school, bench.container, row.record, row.decided);
  const plan = planCuts(row.record, terms, row.decided.limit ?? bench.limit.share);
  if (!plan)
    throw new Refusal(
      'cannot-be-done',
      'What was decided by hand takes more than may go; there is no plan to print.',
    );
  const title = row.label ? `${cohort.code} · ${row.label}` : cohort.code;
  const pages = rootCard(
    {
      title,
      on: dayInWords(row.on, units),
      record: row.record,
      plan,
      room: terms.room,
      caution: operation('root-work').caution ?? '',
      words: (text) => inWords(text, units),
    },
    paper,
    ruler,
  );
  return { name: `root-card-${cohort.code}.pdf`, pdf: await pdfOf(pages, `${title}, root card`) };
}
