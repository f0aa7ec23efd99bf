import { randomUUID } from 'node:crypto';
import type { GroupTold } from '@gonimos/contract/fusing';
import { addDays, toIso } from '@gonimos/core/calendar';
import { jointOf, jointThere, suiting, type Joint } from '@gonimos/core/fusing';
import { groupBy } from '@gonimos/core/group';
import { LabPlant, labStart, MEDIAN_LUCK } from '@gonimos/core/lab';
import type { NewEntry } from '@gonimos/core/ledger';
import { taxon } from '@gonimos/core/taxa';
import { Refusal, wrongField } from '../http/problem.ts';
import { mayDo } from '../http/route.ts';
import { readyFacts } from '../planning/replan.ts';
import type { Follower, Work, Writing } from '../write/types.ts';
import { insertGroup } from './store.ts';

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

/** When two of them have grown into one: the thickest two at their base, or a thin one where it is joined. */
function jointAt({ members, join, method }: GroupTold, ring: number, field: string): Joint {
  const [thick, thin] = members
    .toSorted((x, y) => y.base - x.base)
    .map(({ base, height }) => ({ base, height, ring }));
  const bound = method === 'bound';
  if (!join) return jointOf(thick, thin, bound);
  const at = suiting(join, thick, thin);
  if (at.suits === 'too short')
    throw wrongField(
      `${field}.join.height`,
      `is out of reach: ${Math.round(at.reach)} mm of a stem ${thin.height} mm high`,
    );
  return jointThere(at, ring, ring, bound);
}

const othersOf = (group: GroupTold, cohortId: string): string[] => [
  ...new Set(group.members.map((m) => m.cohortId).filter((c) => c !== cohortId)),
];

const FIELD = 'details.group';

/** Refuses stems that are not there, or of another kind. */
async function refuseStrangers({ trx }: Writing, group: GroupTold, own: Work['cohort']): Promise<void> {
  const out = groupBy(group.members, (m) => m.cohortId);
  const rows = await trx('cohort')
    .whereIn('id', [...out.keys()])
    .select('id', 'taxonId', 'live');
  const known = new Map(rows.map((r) => [r.id, r]));
  group.members.forEach((m, i) => {
    const field = `${FIELD}.members[${i}].cohortId`;
    // each of them was taken for this write, so it is there
    const from = known.get(m.cohortId)!;
    if (from.taxonId !== own.taxonId) throw wrongField(field, 'is of another kind of plant');
    if (out.get(m.cohortId)!.length > from.live)
      throw wrongField(field, `has ${from.live} alive, fewer than are taken out of it`);
  });
}

/**
 * Stems out of one or several cohorts become one plant of this one: those of others are put in first, then all are fused
 * in the ledger, so that lineage knows each of them.
 */
export const fusingFollower: Follower = {
  others: ({ details, cohortId }) => (details.group ? othersOf(details.group, cohortId) : []),
  check: async (w, { record: r, operation, cohort }) => {
    const { group } = r.details;
    if (!group) return;
    if (!w.person || !mayDo(w.person, 'grower'))
      throw new Refusal('not-for-this-role', 'Stems are set together by growers: it cannot be undone.');
    if (operation && !operation.joins) throw wrongField(FIELD, 'cannot be: this work sets no stems together');
    if (operation?.joins === 'thin stem' && !group.join)
      throw wrongField(`${FIELD}.join`, 'is missing: where the thin stem is joined');
    await refuseStrangers(w, group, cohort);
  },
  keeps: ({ record: { details, cohortId } }) =>
    details.group
      ? {
          group: {
            id: details.group.id,
            stems: details.group.members.length,
            from: othersOf(details.group, cohortId),
          },
        }
      : {},
  entries: ({ record: { cohortId, on, note, details } }) => {
    const { group } = details;
    if (!group) return [];
    const moved = othersOf(group, cohortId).flatMap((from): NewEntry[] => {
      const count = group.members.filter((m) => m.cohortId === from).length;
      const half = { on, count, transferId: randomUUID(), note: 'to be fused' };
      return [
        { ...half, id: randomUUID(), cohortId: from, type: 'split_out' },
        { ...half, id: randomUUID(), cohortId, type: 'split_in' },
      ];
    });
    const stems = group.members.length;
    return [...moved, { id: group.id, cohortId, type: 'fused', on, count: stems, into: 1, note }];
  },
  after: async (w, { record: r }) => {
    const { group } = r.details;
    if (!group) return;
    const { ring, from } = await growthOf(w, r.cohortId, r.on);
    const joint = jointAt(group, ring, FIELD);
    // nothing swells before growth begins
    const lookOn = addDays(from > r.on ? from : r.on, joint.look * 7);
    await insertGroup(w.trx, group, {
      cohortId: r.cohortId,
      on: r.on,
      lookOn,
      joint,
      note: r.note,
      personId: w.personId,
    });
  },
};
