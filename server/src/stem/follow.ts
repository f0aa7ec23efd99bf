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

/** What was done to a stem is kept with the work: the share of the crown that went is what the reserve loses. */
export const stemFollower: Follower = {
  check: async ({ trx }, { record: r, operation }) => {
    const told = r.details.stem;
    if (!told) return;
    if (told.took !== null && operation?.lane !== 'top')
      throw wrongField('details.stem.took', 'cannot be: this is no work on stem or crown');
    if (told.until !== null && told.until <= r.on)
      throw wrongField('details.stem.until', `is not after ${r.on}`);
    if (told.until !== null && r.finished)
      throw wrongField('details.stem.until', 'is told of work that is not finished');
    if (told.drawnId === null) return;
    const drawn = await trx('stem_record')
      .where({ id: told.drawnId, cohortId: r.cohortId, withdrawn: false })
      .first('id');
    if (!drawn) throw wrongField('details.stem.drawnId', 'is no drawing of this cohort');
  },
  keeps: ({ record: { details } }) => (details.stem ? { stem: details.stem } : {}),
};
