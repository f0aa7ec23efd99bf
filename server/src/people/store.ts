import type { Person, Role } from '@gonimos/contract/people';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

export const listPeople = (sql: Sql): Promise<Person[]> =>
  sql('person').orderBy('name').select('id', 'name', 'role', 'version');

export const findByName = (
  sql: Sql,
  name: string,
): Promise<(Person & { password_hash: string | null }) | undefined> =>
  sql('person').where({ name }).first('id', 'name', 'role', 'version', 'password_hash');

export const findByRole = (sql: Sql, role: Role): Promise<Person | undefined> =>
  sql('person').where({ role }).orderBy('created_at').first('id', 'name', 'role', 'version');

export const insertPerson = (
  sql: Sql,
  p: { id: string; name: string; role: Role; passwordHash: string | null },
): Promise<unknown> =>
  sql('person').insert({ id: p.id, name: p.name, role: p.role, password_hash: p.passwordHash });

/** Changing a role ends the person's sessions: they sign in again with the new one. */
export async function updateRole(sql: Sql, id: string, version: number, role: Role): Promise<Person> {
  const now = await sql('person').where({ id }).first('id', 'name', 'role', 'version');
  if (!now) throw notFound('person');
  const owners = await sql('person').where({ role: 'owner' }).whereNot({ id }).first('id');
  if (!owners && role !== 'owner') throw conflict('The nursery needs at least one owner.', now);
  const changed = await sql('person')
    .where({ id, version })
    .update({ role, version: version + 1 });
  if (changed === 0) throw conflict('The person was changed meanwhile.', now);
  await sql('session').whereRaw("data -> 'person' ->> 'id' = ?", [id]).delete();
  return { ...now, role, version: version + 1 };
}
