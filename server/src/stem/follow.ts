import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/** What broke below a cut is kept as it was told. */
export const sproutsFollower: Follower = {
  check: (_w, { record, cohort }) => {
    const { sprouts } = record.details;
    if (sprouts && sprouts.cut > cohort.live)
      throw wrongField('details.sprouts.cut', `is more than the ${cohort.live} there are`);
  },
  keeps: ({ record: { details } }) => (details.sprouts ? { sprouts: details.sprouts } : {}),
};
