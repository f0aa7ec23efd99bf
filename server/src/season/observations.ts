import type { NewObservation, ObservationRow } from '@gonimos/contract/observations';
import { toDay, type IsoDate } from '@gonimos/core/calendar';
import type { Observation } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';

const standing = (sql: Sql) =>
  sql('observation as o')
    .leftJoin('observation as w', 'w.withdraws', 'o.id')
    .leftJoin('person as p', 'p.id', 'o.personId')
    .whereNull('o.withdraws')
    .whereNull('w.id')
    .orderBy('o.seq')
    .select({
      id: 'o.id',
      placeId: 'o.placeId',
      taxonId: 'o.taxonId',
      kind: 'o.kind',
      season: 'o.season',
      on: 'o.onDate',
      expected: 'o.expected',
      note: 'o.note',
      by: sql.raw("coalesce(p.name, '')"),
    });

export const readObservations = (sql: Sql): Promise<ObservationRow[]> => standing(sql);

export const findObservation = (sql: Sql, id: string): Promise<ObservationRow | undefined> =>
  standing(sql).where('o.id', id).first<ObservationRow | undefined>();

/** Observations as one place's season book takes them. */
export const asSeenFrom = (rows: readonly ObservationRow[], placeId: string): Observation[] =>
  rows.map((o) => ({
    kind: o.kind,
    taxonId: o.taxonId,
    season: o.season,
    on: toDay(o.on),
    phenology: o.taxonId ? taxon(o.taxonId).phenology : 'standard',
    buds: o.taxonId ? taxon(o.taxonId).buds : 'middle',
    expected: o.expected ? toDay(o.expected) : null,
    here: o.placeId === placeId,
  }));

export const insertObservation = (
  sql: Sql,
  o: NewObservation,
  season: number,
  expected: IsoDate | null,
  personId: string | null,
): Promise<unknown> =>
  sql('observation').insert({
    id: o.id,
    placeId: o.placeId,
    taxonId: o.taxonId ?? null,
    kind: o.kind,
    season,
    onDate: o.on,
    expected,
    note: o.note,
    personId: personId,
  });

export async function withdraw(
  sql: Sql,
  id: string,
  o: ObservationRow,
  personId: string | null,
): Promise<void> {
  await sql('observation').insert({
    id,
    placeId: o.placeId,
    taxonId: o.taxonId,
    kind: o.kind,
    season: o.season,
    onDate: o.on,
    withdraws: o.id,
    personId: personId,
  });
}
