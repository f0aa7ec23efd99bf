import type { AskComparison, Comparison } from '@gonimos/contract/comparison';
import { alsoDiffers, difference, groupRates, sentence } from '@gonimos/core/comparison';
import { groupBy } from '@gonimos/core/group';
import { stageWords } from '@gonimos/core/starts';
import type { Sql } from '../db/index.ts';
import { readLived, type Lived } from '../starts/history.ts';

interface CohortTraits {
  id: string;
  place: string;
  lot: string | null;
  programme: string;
}

interface TrayShare {
  cohortId: string;
  tray: string;
  k: number;
  n: number;
}

/** How each tray fared: cells that were filled, and those of them that showed. */
const readTrayShares = (sql: Sql, cohortIds: string[]): Promise<TrayShare[]> =>
  sql('tray as t')
    .join('tray_cell as x', 'x.trayId', 't.id')
    .whereIn('t.cohortId', cohortIds)
    .whereNot('x.state', 'empty')
    .groupBy('t.id')
    .orderBy('t.name')
    .select({
      cohortId: 't.cohortId',
      tray: 't.name',
      n: sql.raw('count(*)::int'),
      k: sql.raw(`(count(*) FILTER (WHERE x.state IN ('up', 'twin', 'potted') OR EXISTS (
        SELECT 1 FROM tray_cell_entry e JOIN ledger_entry l ON l.id = e.entry_id
        WHERE e.tray_id = t.id AND e.cell = x.cell AND l.type = 'emerged')))::int`),
    });

const METHOD_WORDS = {
  seed: 'Seed',
  cutting: 'Cuttings',
  layer: 'Layers',
  bought: 'Bought in',
  lifted: 'Lifted',
} as const;
const BEGINNING_WORDS: Partial<Record<Lived['beginning'], string>> = {
  softwood: 'Softwood cuttings',
  'semi-ripe': 'Semi-ripe cuttings',
  hardwood: 'Hardwood cuttings',
  root: 'Root cuttings',
  water: 'Cuttings in water',
  offshoot: 'Offshoots',
};

const groupOf: Record<AskComparison['by'], (l: Lived, c: CohortTraits) => string> = {
  year: (l) => l.startedOn.slice(0, 4),
  method: (l) => BEGINNING_WORDS[l.beginning] ?? METHOD_WORDS[l.method],
  lot: (_, c) => c.lot ?? 'no lot noted',
};
/** Within a month of each other counts as the same time of sowing. */
const sownWords = (on: string) => `month ${on.slice(5, 7)}`;

/** Years, methods or lots against each other for one kind of plant, in intervals that respect trays. */
export async function readComparison(sql: Sql, ask: AskComparison): Promise<Comparison> {
  const lived = (await readLived(sql, ask.taxonId)).filter(
    (l) => l.stage === ask.stage && (ask.by === 'method' || !ask.method || l.method === ask.method),
  );
  const ids = [...new Set(lived.map((l) => l.cohortId))];
  const traits = new Map<string, CohortTraits>(
    (
      await sql('cohort as c')
        .join('place as p', 'p.id', 'c.placeId')
        .leftJoin('seed_lot as s', 's.id', 'c.lotId')
        .whereIn('c.id', ids)
        .select({ id: 'c.id', place: 'p.name', lot: 's.name', programme: sql.raw("c.programme ->> 'name'") })
    ).map((c: CohortTraits) => [c.id, c]),
  );
  const trays = groupBy(ask.stage === 'showing' ? await readTrayShares(sql, ids) : [], (t) => t.cohortId);
  const units = lived.flatMap((l) => {
    const c = traits.get(l.cohortId)!;
    const group = groupOf[ask.by](l, c);
    const own = trays.get(l.cohortId) ?? [];
    // what stood outside the trays is a unit of its own
    const inK = own.reduce((n, t) => n + t.k, 0);
    const inN = own.reduce((n, t) => n + t.n, 0);
    const rest = { tray: null, k: Math.max(0, l.k - inK), n: Math.max(0, l.n - inN) };
    return [...own, ...(rest.n > 0 ? [{ ...rest, k: Math.min(rest.k, rest.n) }] : [])].map((t) => ({
      group,
      code: l.code,
      cohortId: l.cohortId,
      tray: t.tray,
      k: t.k,
      n: t.n,
      traits: {
        place: c.place,
        ...(ask.by === 'lot' ? {} : { 'seed lot': c.lot ?? '' }),
        ...(ask.by === 'method' ? {} : { 'time of start': sownWords(l.startedOn) }),
        ...(ask.by === 'year' ? {} : { year: l.startedOn.slice(0, 4) }),
        programme: c.programme,
      },
    }));
  });
  const rates = groupRates(units);
  const came = stageWords(ask.stage, lived[0]?.method ?? 'seed');
  return {
    rates,
    differences: rates.groups.slice(1).map((b, i) => {
      const a = rates.groups[i];
      const d = difference(b, a);
      const differs = alsoDiffers(units, b.group, a.group);
      return { ...d, sentence: sentence(d, came, differs), differs };
    }),
    units: units.map(({ traits: _, ...u }) => u),
    came,
    taxa: await sql('cohort')
      .whereNull('splitFrom')
      .groupBy('taxonId')
      .orderByRaw('count(*) DESC, taxon_id')
      .select({ id: 'taxonId', batches: sql.raw('count(*)::int') }),
  };
}
