import { randomUUID } from 'node:crypto';
import { lying } from '@gonimos/core/beds';
import { container, hasContainer, piecesFor } from '@gonimos/core/containers';
import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/**
 * Plants go into another container, and back into the one before when that is taken back. A part of a batch does not
 * take the rest with it: the cohort stands in the new one when the last are in it.
 */
export const pottingFollower: Follower = {
  check: (_w, { record: { details, on }, cohort }) => {
    const until = details.potting?.until;
    if (until && until <= on)
      throw wrongField('details.potting.until', 'is not after the day they were potted');
    const back = details.potting?.back ?? 0;
    if (back === 0) return;
    if (!hasContainer(cohort.container) || container(cohort.container).wall === 'ground')
      throw wrongField('details.potting.back', 'come from the ground');
    const { plants, seeds } = lying(cohort);
    if (back > piecesFor(container(cohort.container), plants + seeds))
      throw wrongField('details.potting.back', 'are more than they stood in');
  },
  keeps: ({ record: { details }, cohort }) =>
    details.potting ? { potting: { ...details.potting, before: cohort.container } } : {},
  entries: ({ record: r, cohort }, sofar) => {
    if (!r.details.potting) return [];
    const came = sofar.reduce((n, e) => n + (e.type === 'emerged' || e.type === 'severed' ? e.count : 0), 0);
    const gone = sofar.reduce((n, e) => n + (e.type === 'lost' || e.type === 'culled' ? e.count : 0), 0);
    const count = r.done ?? Math.max(0, cohort.live + came - gone);
    if (count === 0) return [];
    return [{ id: randomUUID(), cohortId: r.cohortId, type: 'potted', on: r.on, count }];
  },
  after: async ({ trx }, { record: r }) => {
    if (!r.details.potting || !r.finished) return;
    await trx('cohort').where({ id: r.cohortId }).update({ container: r.details.potting.container });
  },
  takeBack: async ({ trx }, { cohortId: id, details }) => {
    if (details.potting) await trx('cohort').where({ id }).update({ container: details.potting.before });
  },
};
