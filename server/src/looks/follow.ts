import type { Follower } from '../write/types.ts';

/** What a look showed is kept as it was told. */
export const looksFollower: Follower = {
  keeps: ({ record: { details } }) => (details.looks ? { looks: { ...details.looks, again: null } } : {}),
};
