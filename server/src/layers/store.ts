import type { LayerInput, NewLayerEvent, Parent } from '@gonimos/contract/layers';
import { groupBy } from '@gonimos/core/group';
import { thatFollow, type LayerEvent } from '@gonimos/core/layers';
import type { Choices } from '@gonimos/core/schools';
import type { Sql } from '../db/index.ts';

export interface LayerRow extends Omit<LayerInput, 'id' | 'how'> {
  cohortId: string;
  how: 'ring' | 'tourniquet';
  parentId: string;
  live: number;
  /** schools of its own */
  schools: Choices;
}

export const insertLayer = (sql: Sql, parentId: string, l: LayerInput): Promise<unknown> =>
  sql('layer').insert({
    cohortId: l.id,
    parentId: parentId,
    stem: l.stem,
    height: l.height,
    diameter: l.diameter,
    how: l.how,
    branches: l.branches,
    keeps: l.keeps,
    becomes: l.becomes,
    leaves: l.leaves,
  });

const layers = (sql: Sql) =>
  sql('layer as l')
    .join('cohort as c', 'c.id', 'l.cohortId')
    .orderBy([{ column: 'l.stem' }, { column: 'l.height', order: 'desc' }])
    .select({
      cohortId: 'c.id',
      code: 'c.code',
      live: 'c.live',
      schools: 'c.schools',
      parentId: 'l.parentId',
      stem: 'l.stem',
      height: 'l.height',
      diameter: 'l.diameter',
      how: 'l.how',
      branches: 'l.branches',
      keeps: 'l.keeps',
      becomes: 'l.becomes',
      leaves: 'l.leaves',
    });
export const layersOf = (sql: Sql, parentId: string): Promise<LayerRow[]> =>
  layers(sql).where({ 'l.parentId': parentId });
export const findLayer = (sql: Sql, cohortId: string): Promise<LayerRow | undefined> =>
  layers(sql).where({ 'l.cohortId': cohortId }).first();

export type EventRow = LayerEvent & { id: string; by: string; cohortId: string };

/** Everything that was written of layers and was not taken back; `but`: as it was before this record was. */
export const writtenOf = (sql: Sql, cohortIds: string[], but: string | null = null): Promise<EventRow[]> =>
  sql('layer_event as e')
    .leftJoin('person as p', 'p.id', 'e.personId')
    .leftJoin('record as u', 'u.undoes', 'e.recordId')
    .whereIn('e.cohortId', cohortIds)
    .where((q) => {
      void q.whereNull('u.id');
      if (but !== null) void q.orWhere('e.recordId', but);
    })
    .orderBy(['e.onDate', 'e.seq'])
    .select({
      id: 'e.id',
      cohortId: 'e.cohortId',
      kind: 'e.kind',
      on: 'e.onDate',
      found: 'e.found',
      note: 'e.note',
      by: sql.raw("coalesce(p.name, '')"),
    });

/** What has happened to layers: what hung on something that was taken back is left out. */
export async function eventsOf(sql: Sql, cohortIds: string[]): Promise<EventRow[]> {
  const all = await writtenOf(sql, cohortIds);
  return [...groupBy(all, (e) => e.cohortId).values()].flatMap(thatFollow);
}

/** Layers whose events a record wrote. */
export async function layersWrittenBy(sql: Sql, recordId: string): Promise<string[]> {
  const rows = await sql('layer_event').where({ recordId }).distinct('cohortId');
  return rows.map((r) => r.cohortId);
}

export const insertEvent = (
  sql: Sql,
  cohortId: string,
  e: Pick<NewLayerEvent, 'id' | 'kind' | 'on' | 'found' | 'note'>,
  personId: string | null,
  recordId: string | null = null,
): Promise<unknown> =>
  sql('layer_event').insert({
    id: e.id,
    cohortId: cohortId,
    kind: e.kind,
    onDate: e.on,
    found: e.found,
    note: e.note,
    personId: personId,
    recordId: recordId,
  });

/** Layers taken whose wound on the parent has not been cut back and sealed. */
export const readOpenWounds = (
  sql: Sql,
): Promise<{ parentId: string; parent: string; code: string; on: string }[]> =>
  sql('layer as l')
    .join('cohort as c', 'c.id', 'l.cohortId')
    .join('cohort as p', 'p.id', 'l.parentId')
    .join('layer_event as e', (on) => on.on('e.cohortId', 'l.cohortId').andOn('e.kind', sql.raw("'severed'")))
    .leftJoin('record as u', 'u.undoes', 'e.recordId')
    .where('p.growing', true)
    .whereNull('u.id')
    .whereNotExists(
      sql('layer_event as s')
        .whereRaw("s.cohort_id = l.cohort_id AND s.kind = 'wound-sealed'")
        .select(sql.raw('1')),
    )
    .orderBy('e.onDate')
    .select({ parentId: 'p.id', parent: 'p.code', code: 'c.code', on: 'e.onDate' });

/** Plants that layers hang on, or that are kept for it. */
export const readParents = (sql: Sql): Promise<Parent[]> =>
  sql('cohort as c')
    .leftJoin('layer as l', 'l.parentId', 'c.id')
    .leftJoin('cohort as k', 'k.id', 'l.cohortId')
    .where('c.growing', true)
    .whereRaw("(l.cohort_id IS NOT NULL OR c.programme_id = 'stock-plant')")
    .groupBy('c.id')
    .orderByRaw('count(l.cohort_id) DESC, c.code')
    .select({
      id: 'c.id',
      code: 'c.code',
      taxonId: 'c.taxonId',
      hanging: sql.raw('count(l.cohort_id) FILTER (WHERE k.pending > 0)::int'),
      severed: sql.raw('count(l.cohort_id) FILTER (WHERE k.emerged > 0)::int'),
    });
