import type { GroupTold, LookAtJoint, PlantGroup, PlantGroups } from '@gonimos/contract/fusing';
import { FUSE_METHODS } from '@gonimos/contract/fusing';
import type { Joint } from '@gonimos/core/fusing';
import type { Sql, Trx } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

const GROUP = {
  id: 'g.id',
  cohortId: 'g.cohortId',
  code: 'c.code',
  madeOn: 'g.madeOn',
  method: 'g.method',
  members: 'g.members',
  stood: 'g.stood',
  join: 'g.joinAt',
  joint: 'g.joint',
  lookOn: 'g.lookOn',
  outcome: 'g.outcome',
  lookedOn: 'g.lookedOn',
  note: 'g.note',
  version: 'g.version',
} as const;

/** A group whose setting together was reversed in the ledger never was. */
const standing = (sql: Sql) =>
  sql('plant_group as g')
    .join('cohort as c', 'c.id', 'g.cohortId')
    .whereNotExists(sql('ledger_entry as e').whereRaw('e.reverses = g.id').select(sql.raw('1')));

export async function readGroups(sql: Sql, cohortId: string): Promise<PlantGroups> {
  const groups: PlantGroup[] = await standing(sql)
    .where({ 'g.cohortId': cohortId })
    .orderBy('g.seq')
    .select(GROUP);
  const all: Pick<PlantGroup, 'method' | 'outcome'>[] = await standing(sql).select('g.method', 'g.outcome');
  const results = FUSE_METHODS.map((method) => {
    const of = all.filter((g) => g.method === method);
    const count = (outcome: string) => of.filter((g) => g.outcome === outcome).length;
    return { method, made: of.length, joined: count('joined'), failed: count('failed') };
  });
  return { groups, results };
}

interface Kept {
  cohortId: string;
  on: string;
  lookOn: string;
  joint: Joint;
  note: string;
  personId: string | null;
}

export async function insertGroup(trx: Trx, s: GroupTold, k: Kept): Promise<void> {
  await trx('plant_group').insert({
    id: s.id,
    cohortId: k.cohortId,
    madeOn: k.on,
    method: s.method,
    members: JSON.stringify(s.members),
    stood: JSON.stringify(s.stood),
    joinAt: s.join && JSON.stringify(s.join),
    joint: JSON.stringify(k.joint),
    lookOn: k.lookOn,
    note: k.note,
    personId: k.personId,
  });
}

/** What was seen of a joint; says of which cohort it is. */
export async function writeLook(trx: Trx, l: LookAtJoint, today: string): Promise<string> {
  const at = await trx('plant_group').where({ id: l.groupId }).first('cohortId', 'version', 'lookOn');
  if (!at) throw notFound('group');
  const written = await trx('plant_group')
    .where({ id: l.groupId, version: l.version })
    .update({
      outcome: l.outcome,
      lookedOn: today,
      lookOn: l.again ?? at.lookOn,
      note: trx.raw(`note || CASE WHEN ? = '' THEN '' ELSE E'\\n' || ? END`, [l.note, l.note]),
      version: l.version + 1,
    })
    .returning('id');
  if (written.length === 0)
    throw conflict('The joint was looked at meanwhile.', await readGroups(trx, at.cohortId));
  return at.cohortId;
}

/** Joints that are to be looked at by a day. */
export const readLooksDue = (
  sql: Sql,
  by: string,
): Promise<Pick<PlantGroup, 'cohortId' | 'code' | 'lookOn'>[]> =>
  standing(sql)
    .where('g.lookOn', '<=', by)
    .whereRaw(`coalesce(g.outcome, 'growing') = 'growing'`)
    .orderBy('g.lookOn')
    .select({ cohortId: 'g.cohortId', code: 'c.code', lookOn: 'g.lookOn' });
