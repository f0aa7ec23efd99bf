import { randomUUID } from 'node:crypto';
import type { LookAtJoint, PlantGroups, SetStems } from '@gonimos/contract/fusing';
import type { Outcome } from '@gonimos/contract/outcome';
import { addDays, toIso } from '@gonimos/core/calendar';
import { jointOf } from '@gonimos/core/fusing';
import { groupBy } from '@gonimos/core/group';
import { LabPlant, labStart, MEDIAN_LUCK } from '@gonimos/core/lab';
import { taxon } from '@gonimos/core/taxa';
import { onCohort } from '../course/outcome.ts';
import { wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readyFacts } from '../planning/replan.ts';
import { lockCohorts } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import { insertGroup, readGroups, writeLook } from './store.ts';

/** The ring a typical plant of a cohort lays down in the season ahead, mm, and the day it begins to grow. */
async function growthOf(w: Writing, cohortId: string, on: string): Promise<{ ring: number; from: string }> {
  const planning = await w.planning();
  const [facts] = await readyFacts(w.trx, [cohortId], planning);
  const book = planning.books.get(facts.placeId)!;
  const plant = new LabPlant(labStart(facts, book, planning.today));
  const before = plant.caliper;
  plant.season(MEDIAN_LUCK, 0);
  const swell = book.marker('bud-swell', Number(on.slice(0, 4)), taxon(facts.taxonId));
  const from = swell.kind === 'days' ? toIso(swell.p50) : on;
  return { ring: Math.max(0.05, (plant.caliper - before) / 2), from };
}

/**
 * Stems out of one or several cohorts become one plant of this one: those of others are put in first, then all are fused
 * in the ledger, so that lineage knows each of them.
 */
export async function setStemsTogether(w: Writing, cohortId: string, s: SetStems): Promise<Written<Outcome>> {
  const { trx, personId } = w;
  const out = groupBy(s.members, (m) => m.cohortId);
  await lockCohorts(trx, [...new Set([cohortId, ...out.keys()])]);
  const { on } = s;
  await notInFuture(trx, 'on', on);
  const rows = await trx('cohort')
    .whereIn('id', [cohortId, ...out.keys()])
    .select('id', 'code', 'taxonId', 'live');
  const known = new Map(rows.map((r) => [r.id, r]));
  const own = known.get(cohortId);
  s.members.forEach((m, i) => {
    const from = known.get(m.cohortId);
    if (!from) throw wrongField(`members[${i}].cohortId`, 'is no cohort of this nursery');
    if (from.taxonId !== own?.taxonId)
      throw wrongField(`members[${i}].cohortId`, 'is of another kind of plant');
    if (out.get(m.cohortId)!.length > from.live)
      throw wrongField(`members[${i}].cohortId`, `has ${from.live} alive, fewer than are taken out of it`);
  });
  for (const [from, members] of out) {
    if (from === cohortId) continue;
    const half = { on, count: members.length, transferId: randomUUID(), personId };
    const code = known.get(from)!.code;
    await insertEntries(trx, [
      { ...half, id: randomUUID(), cohortId: from, type: 'split_out', note: `to ${own!.code}, to be fused` },
      { ...half, id: randomUUID(), cohortId, type: 'split_in', note: `from ${code}, to be fused` },
    ]);
  }
  const stems = s.members.length;
  await insertEntries(trx, [
    { id: s.id, cohortId, type: 'fused', on, count: stems, into: 1, note: s.note, personId },
  ]);
  const { ring, from } = await growthOf(w, cohortId, on);
  const [a, b] = s.members.toSorted((x, y) => y.base - x.base).map((m) => ({ base: m.base, ring }));
  const joint = jointOf(a, b, s.method === 'bound');
  // nothing swells before growth begins
  const lookOn = addDays(from > on ? from : on, joint.look * 7);
  await insertGroup(trx, s, { cohortId, on, lookOn, joint, personId });
  const others = [...out.keys()].filter((id) => id !== cohortId);
  return onCohort(trx, cohortId, s.id, `${stems} stems were set together`, others);
}

/** What was seen of a joint. */
export async function lookAt(w: Writing, l: LookAtJoint): Promise<Written<PlantGroups>> {
  const today = todayAt(await readNursery(w.trx));
  if (l.again && l.again <= today) throw wrongField('again', `is not after today, ${today}`);
  const cohortId = await writeLook(w.trx, l, today);
  return { ...answering(await readGroups(w.trx, cohortId)) };
}
