import { randomUUID } from 'node:crypto';
import { CLEARANCE } from '@gonimos/core/course';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/** Seed that is up is counted by the ledger. */
export const emergenceFollower: Follower = {
  check: (_w, { record, operation, losses, cohort }) => {
    if (operation?.asks.includes('emergence') && (record.details.emergence?.emerged ?? null) === null)
      throw wrongField('details.emergence.emerged', 'is missing: how many are up');
    if (!operation?.asks.includes('emergence') || !record.finished) return;
    const { live, pending } = cohort;
    const gone = losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? l.count : 0), 0);
    if (live + (record.details.emergence?.emerged ?? 0) === 0 && gone < pending)
      throw wrongField(
        'details.emergence.emerged',
        `is none: count again later, or write the ${pending - gone} seeds off with the cause`,
      );
  },
  entries: ({ record: r }) => {
    const count = r.details.emergence?.emerged ?? 0;
    return count === 0 ? [] : [{ id: randomUUID(), cohortId: r.cohortId, type: 'emerged', on: r.on, count }];
  },
};

const openCovers = (sql: Sql, cohortId: string) =>
  sql('protection').where({ cohortId: cohortId }).whereNull('ended');

/** A cover recorded as a step of the course is the cover of the tray and of the watch list, on and off. */
export const coverFollower: Follower = {
  after: async ({ trx, personId }, { record: r, operation, cohort }) => {
    if (!r.finished) return;
    if (operation?.cover === 'on' && !(await openCovers(trx, r.cohortId).first('id')))
      await trx('protection').insert({
        id: randomUUID(),
        cohortId: r.cohortId,
        fromDate: r.on,
        recordId: r.id,
        personId: personId,
        kind: cohort.live > 0 ? 'guard' : 'mesh',
        clearance: CLEARANCE,
        note: '',
      });
    if (operation?.cover === 'off')
      await openCovers(trx, r.cohortId)
        .where('fromDate', '<=', r.on)
        .update({ ended: r.on, endedBy: r.id, version: trx.raw('version + 1') });
  },
  takeBack: async ({ trx }, { id }) => {
    await trx('protection').where({ recordId: id }).delete();
    await trx('protection')
      .where({ endedBy: id })
      .update({ ended: null, endedBy: null, version: trx.raw('version + 1') });
  },
};
