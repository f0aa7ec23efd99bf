import { wrongField } from '../http/problem.ts';
import type { Follower } from '../write/types.ts';

/** What is put on by hand is kept with its record until another takes it off. */
export const fittingsFollower: Follower = {
  check: (_w, { record: { on, details, finished }, cohort }) => {
    const early = details.fittings?.on.findIndex((f) => f.due < on) ?? -1;
    if (early >= 0) throw wrongField(`details.fittings.on[${early}].due`, 'is before the day it was put on');
    const stranger = details.fittings?.kept.find((k) => !details.fittings!.off.includes(k.id));
    if (stranger) throw wrongField('details.fittings.kept', 'is told of what came off alone');
    const tend = details.fittings?.tend;
    if (!tend) return;
    if ((tend.sprang ?? 0) > tend.off)
      throw wrongField('details.fittings.tend.sprang', `is more than the ${tend.off} it was taken off`);
    const seen = tend.stays + tend.off + tend.biting;
    if (seen > cohort.live)
      throw wrongField('details.fittings.tend', `is of ${seen}, there are ${cohort.live} alive`);
    if (tend.stays > 0 && finished)
      throw wrongField('finished', `cannot be: it stays on ${tend.stays}, and is looked at again`);
  },
  keeps: ({ record: { details } }) => (details.fittings ? { fittings: details.fittings } : {}),
};
