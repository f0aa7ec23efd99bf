import type { Person, PersonRow, Role, SessionRow } from '@gonimos/contract/people';
import type { UnitSystem } from '@gonimos/core/units';
import type { Sql, Trx } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

const COLUMNS = ['id', 'name', 'role', 'version'] as const;

export const listPeople = (sql: Sql): Promise<PersonRow[]> =>
  sql('person')
    .orderBy('name')
    .select(...COLUMNS, sql.raw('disabled_at IS NOT NULL AS disabled'));

export const findByName = (
  sql: Sql,
  name: string,
): Promise<(Person & { passwordHash: string | null }) | undefined> =>
  sql('person')
    .where({ name, disabledAt: null })
    .first(...COLUMNS, 'passwordHash');

/** A person who is known to be there. */
export const readPerson = async (sql: Sql, id: string): Promise<Person> =>
  (await sql('person')
    .where({ id })
    .first<Person | undefined>(...COLUMNS))!;

/** The units a person reads and types measures in. */
export const unitsOf = async (sql: Sql, id: string): Promise<UnitSystem> =>
  (await sql('person').where({ id }).first('units'))?.units ?? 'metric';

export const keepUnits = (trx: Trx, id: string, units: UnitSystem): Promise<unknown> =>
  trx('person').where({ id }).update({ units });

export const findByRole = (sql: Sql, role: Role): Promise<Person | undefined> =>
  sql('person')
    .where({ role, disabledAt: null })
    .orderBy('createdAt')
    .first(...COLUMNS);

export const insertPerson = (
  sql: Sql,
  p: { id: string; name: string; role: Role; passwordHash: string | null },
): Promise<unknown> =>
  sql('person').insert({ id: p.id, name: p.name, role: p.role, passwordHash: p.passwordHash });

export const endSessionsOf = (sql: Sql, personId: string, but: string | null = null): Promise<unknown> =>
  sql('session')
    .where({ personId: personId })
    .whereNot({ hash: but ?? '' })
    .delete();

/**
 * Changes a person against the version the change was based on, and ends their sessions: they sign in again as
 * they are now. Owners are taken first, so that two who take each other's role away at once cannot both.
 */
async function changePerson(
  trx: Trx,
  id: string,
  version: number,
  change: { role?: Role; disabled?: boolean; passwordHash?: string },
): Promise<PersonRow> {
  const owners: string[] = await trx('person')
    .where({ role: 'owner', disabledAt: null })
    .orderBy('id')
    .forUpdate()
    .pluck('id');
  const now: PersonRow | undefined = await trx('person')
    .where({ id })
    .first(...COLUMNS, trx.raw('disabled_at IS NOT NULL AS disabled'));
  if (!now) throw notFound('person');
  const next = { role: change.role ?? now.role, disabled: change.disabled ?? now.disabled };
  const stays = next.role === 'owner' && !next.disabled;
  if (!stays && owners.every((o) => o === id)) throw conflict('The nursery needs at least one owner.', now);
  const changed = await trx('person')
    .where({ id, version })
    .update({
      role: next.role,
      disabledAt: next.disabled ? trx.fn.now() : null,
      version: version + 1,
      ...(change.passwordHash ? { passwordHash: change.passwordHash } : {}),
    });
  if (changed === 0) throw conflict('The person was changed meanwhile.', now);
  await endSessionsOf(trx, id);
  return { ...now, ...next, version: version + 1 };
}

export const updateRole = (trx: Trx, id: string, version: number, role: Role): Promise<PersonRow> =>
  changePerson(trx, id, version, { role });
export const updateDisabled = (
  trx: Trx,
  id: string,
  version: number,
  disabled: boolean,
): Promise<PersonRow> => changePerson(trx, id, version, { disabled });
export const updatePassword = (
  trx: Trx,
  id: string,
  version: number,
  passwordHash: string,
): Promise<PersonRow> => changePerson(trx, id, version, { passwordHash });

/** Where people are signed in: everyone's, or one person's. */
export const readSessions = (
  sql: Sql,
  personId: string | null,
  own: string,
  idle: string,
): Promise<SessionRow[]> => {
  const query = sql('session as s')
    .join('person as p', 'p.id', 's.personId')
    .whereRaw('s.expires > now() AND s.seen_at > now() - ?::interval', [idle])
    .orderBy('s.seenAt', 'desc')
    .select({
      hash: 's.hash',
      name: 'p.name',
      agent: 's.agent',
      since: 's.createdAt',
      seen: 's.seenAt',
      own: sql.raw('s.hash = ?', [own]),
    });
  return personId === null ? query : query.where('s.personId', personId);
};
