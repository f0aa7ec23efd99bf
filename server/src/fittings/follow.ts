import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/** What is put on by hand is kept with its record until another takes it off. */
export const fittingsFollower: Follower = {
  check: (_w, { record: { on, details } }) => {
    const early = details.fittings?.on.findIndex((f) => f.due < on) ?? -1;
    if (early >= 0) throw wrongField(`details.fittings.on[${early}].due`, 'is before the day it was put on');
  },
  keeps: ({ record: { details } }) => (details.fittings ? { fittings: details.fittings } : {}),
};
