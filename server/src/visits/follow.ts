import type { Follower } from '../write/types.ts';

/** A visit taken back gives the plants the name they had before it. */
export const visitsFollower: Follower = {
  takeBack: async ({ trx }, { cohortId: id, details }) => {
    const before = details.visit?.taxonBefore;
    if (before) await trx('cohort').where({ id }).update({ taxonId: before });
  },
};
