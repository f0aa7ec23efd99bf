import type { NewRecord } from '@gonimos/contract/records';
import { standsApart } from '@gonimos/core/measuring';
import { mean } from '@gonimos/core/stats';
import { askBack } from '../http/meant.ts';
import type { Follower } from '../write/types.ts';

/** Sizes this many times apart were hardly taken of plants of one cohort. */
const FAR_APART = 20;
const WORDS: Readonly<Record<string, string>> = { calipers: 'caliper', heights: 'height' };

function doubtOf(r: NewRecord): string | null {
  const { calipers = [], heights = [] } = r.details.sizes ?? {};
  for (const [what, values] of Object.entries({ calipers, heights })) {
    const least = Math.min(...values);
    const most = Math.max(...values);
    if (values.length > 1 && most > least * FAR_APART)
      return `${what} of ${least} mm and ${most} mm in one cohort`;
    const far = standsApart(values);
    if (far !== null) return `a ${WORDS[what]} of ${far} mm stands apart from the other ${values.length - 1}`;
  }
  return null;
}

/** Calipers and heights of a sample are kept with their means. */
export const sizesFollower: Follower = {
  check: (_w, { record }) => askBack(doubtOf(record), record.meant),
  keeps: ({ record: { details } }) => {
    const told = details.sizes;
    if (!told || told.calipers.length + told.heights.length === 0) return {};
    return { sizes: { ...told, caliper: mean(told.calipers), height: mean(told.heights) } };
  },
};
