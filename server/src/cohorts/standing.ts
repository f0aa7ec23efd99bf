import { readPlace } from '../nursery/store.ts';
import type { Follower } from '../write/types.ts';
import { stand } from './place.ts';

/** Plants stand elsewhere from the day of the work on. */
export const standingFollower: Follower = {
  check: async ({ trx }, { record: { details } }) => {
    if (details.standing) await readPlace(trx, details.standing.placeId);
  },
  keeps: ({ record: { details }, cohort }) =>
    details.standing ? { standing: { ...details.standing, before: cohort.placeId } } : {},
  after: async ({ trx }, { record: r }) => {
    if (r.details.standing) await stand(trx, r.cohortId, r.details.standing.placeId, r.on);
  },
  takeBack: async ({ trx }, { cohortId: id, details }) => {
    if (details.standing) await trx('cohort').where({ id }).update({ placeId: details.standing.before });
  },
};
