import type { Follower } from '../write/types.ts';

/** Minutes are kept with the plants they were for, so that a pace can be learned from them. */
export const paceFollower: Follower = {
  keeps: ({ record: r, left }) => {
    const plants = r.done ?? left;
    if (r.minutes === null || plants <= 0 || r.stepKey === null) return {};
    return { pace: { bare: r.details.pace?.bare ?? null, plants } };
  },
};
