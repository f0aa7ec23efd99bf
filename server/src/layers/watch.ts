import type { Watch } from '../watch/watch.ts';
import { readOpenWounds } from './store.ts';

/** Stumps of severed layers that were not sealed. */
export const woundsWatch: Watch = async (sql, today) =>
  (await readOpenWounds(sql)).map((w) => ({
    text: `${w.parent}: wound of ${w.code}, severed {${w.on}}, to be cut back and sealed`,
    when: today,
    cohortId: w.parentId,
  }));
