import { readPlace } from '../nursery/store.ts';
import type { Follower } from '../write/types.ts';
import { mayStandThere, stand } from './place.ts';
import { readCohort } from './store.ts';

/** Plants stand elsewhere from the day of the work on. */
export const standingFollower: Follower = {
  check: async ({ trx }, { record: { cohortId, details, meant }, operation }) => {
    if (!details.standing) return;
    await readPlace(trx, details.standing.placeId);
    // work that takes plants elsewhere was planned by the rules; what is carried by itself is held against them here
    if (operation === null)
      await mayStandThere(
        trx,
        await readCohort(trx, cohortId),
        details.standing.placeId,
        meant ? 'meant' : '',
      );
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
