import { randomUUID } from 'node:crypto';
import type { PotOutcome } from '@gonimos/contract/pots';
import { addDays } from '@gonimos/core/calendar';
import { opensPot } from '@gonimos/core/course';
import { wrongField } from '../http/problem.ts';
import { insertLines } from '../records/store.ts';
import { lockCohorts } from '../write/lock.ts';
import type { Follower, Work, Writing } from '../write/types.ts';
import { clumpSince, membersOf, openingsOf, type Member } from './store.ts';

/** What was wanted within so many days of an opening is done with it. */
const SOON = 60;

/** One opening is the opening of all that stand in a pot: what each of them wanted of it is done with it. */
async function openedWith(w: Writing, { record: r, operation }: Work, others: Member[], outcome: PotOutcome) {
  const wanted = await openingsOf(
    w.trx,
    others.map((o) => o.id),
  );
  const told = r.details.potting;
  const { code } = (await w.trx('cohort').where({ id: r.cohortId }).first('code'))!;
  await insertLines(
    w.trx,
    others.map((o) => {
      const due = wanted
        .get(o.id)
        ?.find((s) => s.ready && s.opens !== null && s.opens <= addDays(r.on, SOON));
      return {
        id: randomUUID(),
        cohortId: o.id,
        kind: 'work' as const,
        stepKey: due?.key ?? null,
        on: r.on,
        personId: w.personId,
        follows: r.id,
        note: `Opened with ${code}: ${operation!.name}`,
        details: {
          pot: { outcome, host: o.hostId },
          ...(told ? { potting: { container: told.container, before: o.container } } : {}),
        },
      };
    }),
  );
  if (told)
    await w
      .trx('cohort')
      .whereIn(
        'id',
        others.map((o) => o.id),
      )
      .update({ container: told.container });
}

/** Who stands in one pot is opened, moved and parted together, and taken back together. */
export const potsFollower: Follower = {
  check: async ({ trx }, { record: r }) => {
    if (r.details.pot?.outcome !== 'parted') return;
    const since = await clumpSince(
      trx,
      (await membersOf(trx, r.cohortId)).map((m) => m.id),
    );
    if (since) throw wrongField('details.pot.outcome', `cannot be: they have grown together, seen ${since}`);
  },
  keeps: ({ record: { details }, cohort }) =>
    details.pot ? { pot: { ...details.pot, host: cohort.hostId } } : {},
  after: async (w, work) => {
    const { record: r, operation } = work;
    if (!operation || !r.finished || !opensPot(operation)) return;
    const members = await membersOf(w.trx, r.cohortId);
    const others = members.filter((m) => m.id !== r.cohortId);
    if (others.length === 0) return;
    await lockCohorts(
      w.trx,
      members.map((m) => m.id),
    );
    const outcome = r.details.pot?.outcome ?? 'stays';
    await openedWith(w, work, others, outcome);
    if (outcome === 'parted')
      await w
        .trx('cohort')
        .whereIn(
          'id',
          members.map((m) => m.id),
        )
        .update({ hostId: null });
    await w.plan(
      w.trx,
      others.map((o) => o.id),
      'the pot they stand in was opened',
    );
  },
  takeBack: async ({ trx }, { cohortId: id, details }) => {
    if (details.pot?.outcome === 'parted')
      await trx('cohort').where({ id }).update({ hostId: details.pot.host });
  },
};
