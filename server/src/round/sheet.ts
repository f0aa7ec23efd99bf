import type { RoundStep } from '@gonimos/contract/round';
import type { Paper } from '@gonimos/core/paper';
import { benchSheet, kitFor, type SheetStep } from '@gonimos/core/round';
import { taxon } from '@gonimos/core/taxa';
import { inWords, type UnitSystem } from '@gonimos/core/units';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { listClimates, readNursery, todayAt } from '../nursery/store.ts';
import { dayInWords } from '../paper/day.ts';
import { ruler } from '../paper/fonts.ts';
import { pdfOf } from '../paper/pdf.ts';
import { readOpenSteps } from './store.ts';

/** Steps that go on one sheet. */
const MOST = 200;

export interface SheetAsk {
  /** of one place alone */
  place: string | null;
  /** of these steps alone, as "cohort key" */
  steps: readonly string[] | null;
}

const asked =
  ({ place, steps }: SheetAsk) =>
  (s: RoundStep) =>
    (place === null || s.placeId === place) && (steps === null || steps.includes(`${s.cohortId} ${s.key}`));

/** The day’s open steps on paper: by place, what closes soonest first. */
export async function readBenchSheet(
  sql: Sql,
  ask: SheetAsk,
  units: UnitSystem,
  paper: Paper,
): Promise<{ name: string; pdf: Buffer }> {
  const nursery = await readNursery(sql);
  const today = todayAt(nursery);
  const places = new Map((await listClimates(sql)).map((p, i) => [p.id, { name: p.name, sort: i }]));
  const of = ask.place === null ? '' : places.get(ask.place)?.name;
  if (of === undefined) throw notFound('place');
  const open = await readOpenSteps(sql, today, { ahead: false, until: today, most: MOST });
  const chosen = open
    .filter(asked(ask))
    .toSorted((a, b) => places.get(a.placeId)!.sort - places.get(b.placeId)!.sort);
  const steps = chosen.map((s): SheetStep => ({
    ...s,
    kind: taxon(s.taxonId).name,
    place: places.get(s.placeId)!.name,
    plants: s.about ?? (s.live || s.pending),
    closes: dayInWords(s.closes, units),
  }));
  const pages = benchSheet(
    {
      nursery: nursery.name,
      on: dayInWords(today, units),
      of,
      steps,
      kit: kitFor(chosen.map((s) => ({ ...s, plants: s.live || s.pending }))),
      words: (text) => inWords(text, units),
    },
    paper,
    ruler,
  );
  return { name: `bench-sheet-${today}.pdf`, pdf: await pdfOf(pages, `Bench sheet, ${today}`) };
}
