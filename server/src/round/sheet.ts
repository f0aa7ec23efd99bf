import type { RoundStep } from '@gonimos/contract/round';
import type { Paper } from '@gonimos/core/paper';
import { operation } from '@gonimos/core/operations';
import { benchSheet, kitFor, shareOut, type SheetStep } from '@gonimos/core/round';
import { taxon } from '@gonimos/core/taxa';
import { inWords, type UnitSystem } from '@gonimos/core/units';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { listClimates, readNursery, todayAt } from '../nursery/store.ts';
import { dayInWords } from '../paper/day.ts';
import { ruler } from '../paper/fonts.ts';
import { pdfOf } from '../paper/pdf.ts';
import { listPeople } from '../people/store.ts';
import { readOpenSteps } from './store.ts';

/** Steps that go on one sheet. */
const MOST = 200;

export interface SheetAsk {
  /** of one place alone */
  place: string | null;
  /** of these steps alone, as "cohort key" */
  steps: readonly string[] | null;
  /** of one person’s share, where several work today */
  share: { person: string; among: readonly string[] } | null;
}

const keyOf = (s: RoundStep): string => `${s.cohortId} ${s.key}`;

/** Whom the sheet is for, and which of the steps are theirs. */
async function shareOf(sql: Sql, ask: SheetAsk, steps: readonly RoundStep[]) {
  if (ask.share === null) return { name: '', steps };
  const people = (await listPeople(sql)).filter((p) => !p.disabled);
  const ids = new Set([ask.share.person, ...ask.share.among]);
  const hands = people.filter((p) => ids.has(p.id)).map((p) => ({ id: p.id, skilled: p.role !== 'helper' }));
  const own = people.find((p) => p.id === ask.share!.person);
  if (!own || hands.length < ids.size) throw notFound('person');
  const given = shareOut(
    steps.map((s) => ({
      id: keyOf(s),
      placeId: s.placeId,
      minutes: s.minutes,
      skilled: operation(s.operation).skilled,
    })),
    hands,
  );
  return { name: own.name, steps: steps.filter((s) => given.get(keyOf(s)) === own.id) };
}

const asked =
  ({ place, steps }: SheetAsk) =>
  (s: RoundStep) =>
    (place === null || s.placeId === place) && (steps === null || steps.includes(keyOf(s)));

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
  const share = await shareOf(sql, ask, open.filter(asked(ask)));
  const chosen = share.steps.toSorted((a, b) => places.get(a.placeId)!.sort - places.get(b.placeId)!.sort);
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
      of: [share.name, of].filter(Boolean).join(', '),
      steps,
      kit: kitFor(chosen.map((s) => ({ ...s, plants: s.live || s.pending }))),
      words: (text) => inWords(text, units),
    },
    paper,
    ruler,
  );
  return { name: `bench-sheet-${today}.pdf`, pdf: await pdfOf(pages, `Bench sheet, ${today}`) };
}
