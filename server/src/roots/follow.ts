import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/** What was done to roots is kept with the work: the share that went is what the reserve loses. */
export const rootsFollower: Follower = {
  check: async ({ trx }, { record: r, operation }) => {
    const told = r.details.roots;
    if (!told) return;
    if (told.took !== null && operation?.lane !== 'roots')
      throw wrongField('details.roots.took', 'cannot be: this is no work on roots');
    const judged = told.classes ? told.classes.A + told.classes.B + told.classes.C : 0;
    const cohort = await trx('cohort').where({ id: r.cohortId }).first('live');
    if (cohort && judged > cohort.live)
      throw wrongField('details.roots.classes', `are ${judged} plants, of ${cohort.live}`);
    if (told.drawnId === null) return;
    const drawn = await trx('root_record')
      .where({ id: told.drawnId, cohortId: r.cohortId, withdrawn: false })
      .first('id');
    if (!drawn) throw wrongField('details.roots.drawnId', 'is no drawing of this cohort');
  },
  keeps: ({ record: { details } }) => (details.roots ? { roots: details.roots } : {}),
};
