import type {
  LetGo,
  OwnLibrary,
  OwnVersion,
  SaveContainer,
  SaveOperation,
  SaveTaxon,
} from '@gonimos/contract/own';
import { holdOwn, type Own } from '@gonimos/core/library';
import type { Sql, Trx } from '../db/index.ts';
import { conflict } from '../http/problem.ts';

/** The newest version of each that is held over the library; one that went back to the library's is not. */
export async function readOwn(sql: Sql): Promise<OwnLibrary> {
  // asked first: what comes meanwhile is then read once more, and not missed
  const { upTo } = await stateOf(sql);
  const newest = sql('own_entry')
    .distinctOn('kind', 'ownId')
    .orderBy(['kind', 'ownId', { column: 'version', order: 'desc' }])
    .select('kind', 'ownId', 'version', 'likeId', 'edit');
  const own: Own[] = await sql
    .from(newest.as('o'))
    .whereNotNull('edit')
    .orderBy(['kind', 'ownId'])
    .select({ kind: 'kind', id: 'ownId', version: 'version', like: 'likeId', edit: 'edit' });
  return { upTo, own };
}

/** Which database is asked, and how far its own library has come: this process may have been at another before. */
async function stateOf(sql: Sql): Promise<{ database: string; upTo: string }> {
  const { rows } = await sql.raw<{ rows: { database: string; upTo: string }[] }>(
    `SELECT oid::text AS database, (SELECT coalesce(max(seq), 0)::text FROM own_entry) AS "upTo"
     FROM pg_database WHERE datname = current_database()`,
  );
  return rows[0];
}

let held = '';

/** Holds the nursery's own over the library in this process, where it does not already; gives how far it has come. */
export async function keepOwnHeld(sql: Sql): Promise<string> {
  const { database, upTo } = await stateOf(sql);
  if (held === `${database} ${upTo}`) return upTo;
  const now = await readOwn(sql);
  holdOwn(now.own);
  held = `${database} ${now.upTo}`;
  return now.upTo;
}

/** Every version there was, newest first. */
export const readVersions = (sql: Sql): Promise<OwnVersion[]> =>
  sql('own_entry as o')
    .leftJoin('person as p', 'p.id', 'o.personId')
    .orderBy('o.seq', 'desc')
    .select({
      kind: 'o.kind',
      id: 'o.ownId',
      version: 'o.version',
      letGo: sql.raw('o.edit IS NULL'),
      at: 'o.at',
      by: sql.raw("coalesce(p.name, 'nobody')"),
    });

/** Refuses a version that was made from another than the newest; gives the number of the next. */
async function nextVersion(trx: Trx, kind: Own['kind'], ownId: string, basedOn: number): Promise<number> {
  const last = await trx('own_entry').where({ kind, ownId: ownId }).max({ version: 'version' }).first();
  const have = Number(last?.version ?? 0);
  if (have !== basedOn) throw conflict(`This is at version ${have} now: somebody changed it meanwhile.`);
  return have + 1;
}

/** Keeps the next version of an operation or taxon of one's own. */
export async function insertOwn(
  trx: Trx,
  kind: Own['kind'],
  s: SaveOperation | SaveTaxon | SaveContainer,
  personId: string,
): Promise<number> {
  const version = await nextVersion(trx, kind, s.ownId, s.basedOn);
  await trx('own_entry').insert({
    kind,
    ownId: s.ownId,
    version,
    likeId: s.like,
    edit: JSON.stringify(s.edit),
    personId: personId,
  });
  return version;
}

/** Keeps that one went back to what the library says. */
export async function insertLetGo(trx: Trx, s: LetGo, personId: string): Promise<number> {
  const version = await nextVersion(trx, s.kind, s.ownId, s.basedOn);
  await trx('own_entry').insert({
    kind: s.kind,
    ownId: s.ownId,
    version,
    likeId: s.ownId,
    edit: null,
    personId: personId,
  });
  return version;
}
