import { randomUUID } from 'node:crypto';
import type { Cohort, CohortRow, EditCohort, NewCohort } from '@gonimos/contract/cohorts';
import type { UncertainDate } from '@gonimos/core/calendar/uncertain';
import { fieldEmergence, fold, viability } from '@gonimos/core/ledger';
import type { Programme } from '@gonimos/core/programmes';
import { readFacts } from '../facts/facts.ts';
import type { Sql } from '../db/index.ts';
import type { CohortRow as KeptCohort } from '../db/tables.ts';
import { heldColumn, joinHeld } from '../visits/held.ts';
import { insertIdentity } from '../lineage/identity.ts';
import { conflict, notFound } from '../http/problem.ts';
import { readEntries } from '../ledger/store.ts';

/** A cohort as far as it is given; the database itself counts and works out the rest. */
export function asGiven(cohort: KeptCohort) {
  const { live: _l, pending: _p, emerged: _e, growing: _g, programmeDigest: _d, ...given } = cohort;
  return given;
}

const ROW = {
  id: 'c.id',
  code: 'c.code',
  taxonId: 'c.taxonId',
  method: 'c.method',
  placeId: 'c.placeId',
  container: 'c.container',
  startedSaid: 'c.startedSaid',
  startedFrom: 'c.startedFrom',
  live: 'c.live',
  pending: 'c.pending',
  growing: 'c.growing',
  goalCaliper: 'c.goalCaliper',
  nextTitle: 'c.nextTitle',
  nextOpens: 'c.nextOpens',
  nextCloses: 'c.nextCloses',
  nextRule: 'c.nextRule',
  rings: 'c.rings',
  tag: 'c.tag',
};
/** Codes and tags a cohort had before, so that old labels are still found. */
const formerly = (sql: Sql) =>
  sql.raw(`ARRAY(SELECT x FROM identity i, unnest(ARRAY[i.was ->> 'code', i.was ->> 'tag']) x
    WHERE i.cohort_id = c.id AND x IS NOT NULL AND x <> c.code AND x IS DISTINCT FROM c.tag) AS formerly`);

/** The whole register, as one statement. */
export const registerQuery = (sql: Sql) =>
  joinHeld(sql('cohort as c')).select(ROW, heldColumn(sql), formerly(sql)).orderBy('c.code');

export const readRegister = (sql: Sql): Promise<CohortRow[]> => registerQuery(sql);

/** Changes with whatever the register shows: every change of a row has a transaction of its own. */
export async function registerTag(sql: Sql): Promise<string> {
  const { rows } = await sql.raw<{ rows: { tag: string }[] }>(
    `SELECT md5((SELECT string_agg(c.id::text || c.xmin::text, ' ' ORDER BY c.id) FROM cohort c)
       || (SELECT count(*) FROM identity) || ' '
       || (SELECT coalesce(max(seq), 0) FROM record WHERE kind IN ('visit', 'released', 'undo'))) AS tag`,
  );
  return `"${rows[0].tag}"`;
}

/** A cohort as one statement gives it. */
type Found = Omit<
  Cohort,
  'host' | 'held' | 'lot' | 'guests' | 'plants' | 'quarantine' | 'buds' | 'maybe' | 'lowGrowth'
> & {
  hostId: string | null;
  hostCode: string | null;
  lotId: string | null;
  lotName: string | null;
};

export async function readCohort(sql: Sql, id: string): Promise<Cohort> {
  const found: Found | undefined = await sql('cohort as c')
    .leftJoin('cohort as p', 'p.id', 'c.parentId')
    .leftJoin('cohort as h', 'h.id', 'c.hostId')
    .leftJoin('seed_lot as l', 'l.id', 'c.lotId')
    .where({ 'c.id': id })
    .first(formerly(sql), {
      ...ROW,
      goalId: 'c.goalId',
      origin: 'c.origin',
      hostId: 'h.id',
      hostCode: 'h.code',
      lotId: 'l.id',
      lotName: 'l.name',
      trays: sql.raw('(SELECT count(*)::int FROM tray t WHERE t.cohort_id = c.id)'),
      programmeId: 'c.programmeId',
      programmeName: sql.raw("c.programme ->> 'name'"),
      startedTo: 'c.startedTo',
      schools: 'c.schools',
      programmeVersion: 'c.programmeVersion',
      newerVersion: sql.raw(
        '(SELECT max(v.version) FROM programme v WHERE v.id = c.programme_id AND v.version > c.programme_version)',
      ),
      goal: 'c.goal',
      note: 'c.note',
      parentId: 'c.parentId',
      parentCode: 'p.code',
      version: 'c.version',
    });
  if (!found) throw notFound('cohort');
  const entries = await readEntries(sql, id);
  const state = fold(entries);
  const seed = entries.some((e) => e.type === 'started' && e.unit === 'seed');
  const plants = await sql('plant')
    .where({ cohortId: id })
    .orderBy('tag')
    .select({ id: 'id', tag: 'tag', promotedOn: 'promotedOn', cohortId: 'ownCohortId' });
  const guests = await sql('cohort')
    .where({ hostId: id, growing: true })
    .orderBy('code')
    .select('id', 'code', 'live');
  const { hostId, hostCode, lotId, lotName, ...row } = found;
  const [facts] = await readFacts(sql, [id]);
  return {
    ...row,
    started: state.started,
    lostBeforeEmergence: state.lostBeforeEmergence,
    emerged: state.emerged,
    viability: seed && state.emerged > 0 ? viability(state) : null,
    fieldEmergence: seed && state.emerged > 0 ? fieldEmergence(state) : null,
    plants,
    guests,
    host: hostId && hostCode ? { id: hostId, code: hostCode } : null,
    lot: lotId && lotName ? { id: lotId, name: lotName } : null,
    quarantine: facts.quarantine ?? null,
    held: facts.quarantine ?? null,
    buds: facts.buds ?? null,
    maybe: [...(facts.maybe ?? [])],
    lowGrowth: facts.lowGrowth ?? null,
  };
}

export async function insertCohort(
  sql: Sql,
  c: NewCohort,
  started: UncertainDate,
  programme: Programme,
  version: number,
): Promise<void> {
  await sql('cohort').insert({
    id: c.id,
    code: c.code,
    taxonId: c.taxonId,
    taxonMaybe: c.maybe.length > 0 ? JSON.stringify(c.maybe) : null,
    method: programme.method,
    placeId: c.placeId,
    container: c.container,
    firstContainer: c.container,
    programmeId: c.programmeId,
    programme: JSON.stringify(programme),
    startedSaid: started.said,
    startedFrom: started.from,
    startedTo: started.to,
    standsAt: c.standsAt ?? null,
    parentId: c.parentId ?? null,
    goalId: c.goalId ?? null,
    lotId: c.lotId ?? null,
    hostId: c.hostId ?? null,
    origin: c.origin ? JSON.stringify(c.origin) : null,
    schools: JSON.stringify(c.schools),
    programmeVersion: version,
    placeSince: started.from,
    goal: c.goal,
    goalCaliper: c.goalCaliper ?? null,
    note: c.note,
  });
}

export async function updateCohort(
  sql: Sql,
  id: string,
  edit: EditCohort,
  was: Cohort,
  today: string,
  personId: string,
): Promise<void> {
  const changed = await sql('cohort')
    .where({ id, version: edit.version })
    .update({
      code: edit.code,
      schools: JSON.stringify(edit.schools),
      goal: edit.goal,
      goalCaliper: edit.goalCaliper ?? null,
      note: edit.note,
      version: edit.version + 1,
    });
  if (changed === 0) throw conflict('The cohort was changed meanwhile.', await readCohort(sql, id));
  if (edit.code !== was.code)
    await insertIdentity(sql, {
      id: randomUUID(),
      cohortId: id,
      on: today,
      reason: 'the code was changed',
      personId,
      was: { code: was.code, tag: was.tag },
      now: { code: edit.code, tag: was.tag },
    });
}

/** A new cohort with everything of the old one but its code, place and count. */
export async function copyCohort(
  sql: Sql,
  from: string,
  copy: { id: string; code: string; placeId: string; note: string; tag?: string },
): Promise<void> {
  const parent = await sql('cohort').where({ id: from }).first();
  if (!parent) throw notFound('cohort');
  const last = await sql('record').where({ cohortId: from }).max({ seq: 'seq' }).first();
  const { createdAt: _, ...kept } = asGiven(parent);
  await sql('cohort').insert({
    ...kept,
    id: copy.id,
    code: copy.code,
    placeId: copy.placeId,
    note: copy.note,
    tag: copy.tag ?? null,
    origin: parent.origin && JSON.stringify(parent.origin),
    splitFrom: from,
    splitSeq: last?.seq ?? 0,
    version: 1,
    programme: JSON.stringify(parent.programme),
    rings: JSON.stringify(parent.rings),
    schools: JSON.stringify(parent.schools),
    stepMaps: JSON.stringify(parent.stepMaps),
    taxonMaybe: parent.taxonMaybe && JSON.stringify(parent.taxonMaybe),
  });
}
