import { BRANCH_FAULT_WORDS, cleanUp } from './clean-up.ts';
import { partWords, type StemRecord } from './record.ts';
import { selectAfter } from './select.ts';
import { crownShare } from './wiring.ts';

/** What was decided about a stem, as far as work on it asks. */
export interface StemDecided {
  finished: number | null;
  cutAt: number | null;
}

/** What work on a stem takes, and what waits for another time. */
export interface StemWork {
  /** of the crown, 0..1; null: nothing of it goes by what is drawn */
  took: number | null;
  left: string[];
}

/**
 * What work by a drawing takes of the crown, and what it leaves for another year: a cut takes all above it, other work on
 * the top what comes off by its faults. `takes`: whether the work takes of the top at all; `cuts`: it is the cut of the
 * stem itself.
 */
export function workOnStem(
  record: StemRecord,
  { finished, cutAt }: StemDecided,
  { takes, cuts }: { takes: boolean; cuts: boolean },
  vigour: number,
): StemWork {
  if (!takes) return { took: null, left: [] };
  if (cuts) {
    if (cutAt === null || cutAt >= record.height) return { took: null, left: [] };
    const said = selectAfter(record, cutAt);
    const rest = said?.shoots.filter((s) => s.becomes === 'off') ?? [];
    return {
      took: crownShare(record, { above: cutAt }),
      left: rest.map(
        (s) => `${partWords(s.part)}: off when the leader is ${Math.round(said!.until * 10) / 10} mm`,
      ),
    };
  }
  if (finished === null) return { took: null, left: [] };
  const { takes: took, later } = cleanUp(record, finished, vigour);
  return { took, left: later.map((c) => `${partWords(c.part)}: ${BRANCH_FAULT_WORDS[c.faults[0]]}`) };
}
