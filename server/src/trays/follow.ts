import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';
import { standingInTrays } from './store.ts';

/** Seed that lies in trays is counted cell by cell, and not once more by a record. */
export const traysFollower: Follower = {
  check: async ({ trx }, { record, losses, cohort }) => {
    const emerged = record.details.emergence?.emerged ?? null;
    if (emerged === null) return;
    const inTrays = (await standingInTrays(trx, record.cohortId)).seed;
    if (inTrays === 0) return;
    const told = losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? l.count : 0), emerged);
    const outside = Math.max(0, cohort.pending - inTrays);
    if (told > outside)
      throw wrongField(
        'details.emergence.emerged',
        `is more than the ${outside} outside the trays: mark the cells instead`,
      );
  },
};
