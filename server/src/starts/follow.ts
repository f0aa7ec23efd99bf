import type { Follower } from '../write/types.ts';
import { offersFor } from './goals.ts';

/** Work that leaves prunings offers them to the goals that want cuttings. */
export const startsFollower: Follower = {
  offers: async ({ trx }, { operation, cohort }) =>
    operation?.gives === 'prunings' ? offersFor(trx, cohort) : [],
};
