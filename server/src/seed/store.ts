import type {
  NewProtection,
  NewSeedEvent,
  NewSeedLot,
  Protection,
  SeedEventRow,
} from '@gonimos/contract/seed';
import type { Eaten } from '@gonimos/core/seed';
import type { LotKnown } from '@gonimos/core/starts';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

export interface LotRow extends Omit<NewSeedLot, 'parentId'> {
  parentId: string | null;
  parentCode: string | null;
  harvestedFrom: string;
}

export const insertLot = (sql: Sql, l: NewSeedLot, harvestedFrom: string): Promise<unknown> =>
  sql('seed_lot').insert({
    id: l.id,
    name: l.name,
    taxonId: l.taxonId,
    source: l.source,
    parentId: l.parentId ?? null,
    harvestedSaid: l.harvested,
    harvestedFrom: harvestedFrom,
    seeds: l.seeds,
    price: l.price,
    handling: l.handling,
    storage: l.storage,
    note: l.note,
  });

export const insertSeedEvent = (
  sql: Sql,
  lotId: string,
  e: NewSeedEvent,
  personId: string | null,
): Promise<unknown> =>
  sql('seed_event').insert({
    id: e.id,
    lotId: lotId,
    kind: e.kind,
    onDate: e.on,
    tested: e.tested,
    sound: e.sound,
    seeds: e.seeds,
    note: e.note,
    personId: personId,
  });

export const readLotRows = (sql: Sql): Promise<LotRow[]> =>
  sql('seed_lot as l')
    .leftJoin('cohort as p', 'p.id', 'l.parentId')
    .orderBy([{ column: 'l.harvestedFrom', order: 'desc' }, 'l.name'])
    .select({
      id: 'l.id',
      name: 'l.name',
      taxonId: 'l.taxonId',
      source: 'l.source',
      parentId: 'l.parentId',
      parentCode: 'p.code',
      harvested: 'l.harvestedSaid',
      harvestedFrom: 'l.harvestedFrom',
      seeds: 'l.seeds',
      price: 'l.price',
      handling: 'l.handling',
      storage: 'l.storage',
      note: 'l.note',
    });

/** Cohorts sown of a lot that are growing. */
export const cohortsOf = async (sql: Sql, lotId: string): Promise<string[]> =>
  (await sql('cohort').where({ lotId: lotId, growing: true }).orderBy('id').select('id')).map((c) => c.id);

/** Since when a lot lies in the cold; null: nothing is told of it. */
export async function coldOn(sql: Sql, lotId: string): Promise<string | null> {
  const cold = await sql('seed_event')
    .where({ lotId: lotId, kind: 'to cold' })
    .orderBy('onDate')
    .first('onDate');
  return cold?.onDate ?? null;
}

/** What a start should know of its seed: when it was harvested, and since when it lies in the cold. */
export async function lotKnown(sql: Sql, id: string): Promise<LotKnown | null> {
  const lot = await sql('seed_lot').where({ id }).first('harvestedFrom');
  if (!lot) return null;
  return { harvested: lot.harvestedFrom, toColdOn: await coldOn(sql, id) };
}

export const readSeedEvents = (sql: Sql): Promise<(SeedEventRow & { lotId: string })[]> =>
  sql('seed_event as e')
    .leftJoin('person as p', 'p.id', 'e.personId')
    .orderBy(['e.onDate', 'e.seq'])
    .select({
      id: 'e.id',
      lotId: 'e.lotId',
      kind: 'e.kind',
      on: 'e.onDate',
      tested: 'e.tested',
      sound: 'e.sound',
      seeds: 'e.seeds',
      note: 'e.note',
      by: sql.raw("coalesce(p.name, '')"),
    });

/** Cohorts sown of each lot: how many, how many of them showed, and whether all are told. */
export const readSownOf = (
  sql: Sql,
): Promise<{ lotId: string; id: string; code: string; count: number; emerged: number; pending: number }[]> =>
  sql('cohort as c')
    .join('ledger_entry as s', (on) => on.on('s.cohortId', 'c.id').andOn('s.type', sql.raw("'started'")))
    .leftJoin('ledger_entry as r', 'r.reverses', 's.id')
    .whereNotNull('c.lotId')
    .whereNull('c.splitFrom')
    .whereNull('r.id')
    .orderBy('c.code')
    .select({
      lotId: 'c.lotId',
      id: 'c.id',
      code: 'c.code',
      count: 's.count',
      emerged: 'c.emerged',
      pending: 'c.pending',
    });

const PROTECTION = {
  id: 'id',
  kind: 'kind',
  clearance: 'clearance',
  from: 'fromDate',
  ended: 'ended',
  note: 'note',
  version: 'version',
};
export type ProtectionRow = Omit<Protection, 'until'>;

export const readProtections = (sql: Sql, cohortId: string): Promise<ProtectionRow[]> =>
  sql('protection').where({ cohortId: cohortId }).orderBy('fromDate').select(PROTECTION);

export const insertProtection = (
  sql: Sql,
  cohortId: string,
  p: NewProtection,
  personId: string | null,
): Promise<unknown> =>
  sql('protection').insert({
    id: p.id,
    cohortId: cohortId,
    kind: p.kind,
    clearance: p.clearance,
    fromDate: p.from,
    note: p.note,
    personId: personId,
  });

export async function endProtection(sql: Sql, id: string, version: number, ended: string): Promise<void> {
  const done = await sql('protection')
    .where({ id, version })
    .update({ ended, version: version + 1 });
  if (done > 0) return;
  const now = await sql('protection').where({ id }).first(PROTECTION);
  if (!now) throw notFound('protection');
  throw conflict('The protection was changed meanwhile.', now);
}

/** Seed and seedlings that animals took, of all places; `of`: what had been sown there. */
export const readEaten = (sql: Sql): Promise<Eaten[]> =>
  sql('ledger_entry as l')
    .join('cohort as c', 'c.id', 'l.cohortId')
    .join('ledger_entry as s', (on) => on.on('s.cohortId', 'c.id').andOn('s.type', sql.raw("'started'")))
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .where('l.cause', 'eaten')
    .whereIn('l.type', ['lost', 'lost_before_emergence'])
    .whereNull('r.id')
    .orderBy('l.onDate')
    .select({ placeId: 'c.placeId', on: 'l.onDate', count: 'l.count', of: 's.count' });
