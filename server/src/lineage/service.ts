import { randomUUID } from 'node:crypto';
import {
  TALLIES,
  type FusePlants,
  type IdentifyCohort,
  type Lineage,
  type MergeCohort,
  type NewTally,
} from '@gonimos/contract/lineage';
import type { Outcome } from '@gonimos/contract/outcome';
import { family } from '@gonimos/core/lineage';
import { onCohort } from '../course/outcome.ts';
import { sure } from '../db/sure.ts';
import type { Sql } from '../db/index.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { lockCohort, lockCohorts } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import { insertIdentity, readIdentities } from './identity.ts';
import { insertTally, readKin } from './store.ts';

export async function readLineage(sql: Sql, cohortId: string): Promise<Lineage> {
  const { nodes, edges } = await readKin(sql);
  if (!nodes.some((n) => n.id === cohortId)) throw notFound('cohort');
  return { family: family(cohortId, nodes, edges), identities: await readIdentities(sql, cohortId) };
}

/** Puts plants of one cohort in with another of the same kind. */
export async function merge(
  { trx, personId }: Writing,
  from: string,
  m: MergeCohort,
): Promise<Written<Outcome>> {
  await lockCohorts(trx, [from, m.intoId]);
  if (from === m.intoId) throw wrongField('intoId', 'is this cohort itself');
  const named = (id: string) => sure(trx('cohort').where({ id }).first('code', 'taxonId'));
  const a = await named(from);
  const b = await named(m.intoId);
  if (a.taxonId !== b.taxonId) throw wrongField('intoId', 'is of another kind of plant');
  const on = todayAt(await readNursery(trx));
  const half = { on, count: m.count, transferId: m.id, personId };
  await insertEntries(trx, [
    { ...half, id: randomUUID(), cohortId: from, type: 'split_out', note: m.note || `to ${b.code}` },
    { ...half, id: randomUUID(), cohortId: m.intoId, type: 'split_in', note: m.note || `from ${a.code}` },
  ]);
  return onCohort(trx, from, m.id, `plants of ${a.code} were put in with ${b.code}`, [m.intoId]);
}

/** Stems set together to become fewer plants: a clump, or a trunk to be. */
export async function fuse(
  { trx, personId }: Writing,
  cohortId: string,
  f: FusePlants,
): Promise<Written<Outcome>> {
  await lockCohort(trx, cohortId);
  const on = todayAt(await readNursery(trx));
  await insertEntries(trx, [
    {
      id: f.id,
      cohortId,
      type: 'fused',
      on,
      count: f.stems,
      into: f.into,
      note: f.note,
      personId,
    },
  ]);
  return onCohort(trx, cohortId, f.id, 'stems were fused');
}

/** Gives a cohort or plant another code or tag; the old ones are kept and still found. */
export async function identify(
  { trx, personId }: Writing,
  cohortId: string,
  i: IdentifyCohort,
): Promise<Written<{ id: string }>> {
  await lockCohort(trx, cohortId);
  const { code, tag } = await sure(trx('cohort').where({ id: cohortId }).first('code', 'tag'));
  const now = { code: i.newCode ?? code, tag: i.newTag ?? tag };
  if (now.code === code && now.tag === tag) throw wrongField('newCode', 'is the one it has');
  if (i.newTag && tag === null) throw wrongField('newTag', 'goes with a plant of its own: promote one first');
  await trx('cohort')
    .where({ id: cohortId })
    .update({ ...now, version: trx.raw('version + 1') });
  if (now.tag !== tag) await trx('plant').where({ ownCohortId: cohortId }).update({ tag: now.tag });
  await insertIdentity(trx, {
    id: i.id,
    cohortId,
    on: todayAt(await readNursery(trx)),
    reason: i.reason,
    personId,
    was: { code, tag },
    now,
  });
  return answering({ id: i.id });
}

/** A count by state inside a cohort; never more than are alive. */
export async function tally(
  { trx, personId }: Writing,
  cohortId: string,
  t: NewTally,
): Promise<Written<{ id: string }>> {
  const cohort = await lockCohort(trx, cohortId);
  await notInFuture(trx, 'on', t.on);
  const states: readonly string[] = TALLIES[t.kind];
  for (const s of Object.keys(t.counts))
    if (!states.includes(s))
      throw wrongField(`counts.${s}`, `is no state of this tally: ${states.join(', ')}`);
  const all = Object.values(t.counts).reduce((n, x) => n + x, 0);
  if (all > cohort.live) throw wrongField('counts', `hold ${all}, there are ${cohort.live} alive`);
  await insertTally(trx, cohortId, t, personId);
  return answering({ id: t.id });
}
