import { BRANCH_FAULT_WORDS, cleanUp } from './clean-up.ts';
import { partWords, type StemRecord } from './record.ts';
import { selectAfter, type Selection } from './select.ts';
import { crownShare } from './wiring.ts';

/** What was decided about a stem, as far as work on it asks. */
export interface StemDecided {
  finished: number | null;
  cutAt: number | null;
}

/** What work does by its nature: whether it takes of the top at all, cuts the stem itself, or chooses among shoots. */
export interface StemDeed {
  takes: boolean;
  cuts: boolean;
  chooses: boolean;
}

/** What work on a stem takes, and what waits for another time. */
export interface StemWork {
  /** of the crown, 0..1; null: nothing of it goes by what is drawn */
  took: number | null;
  left: string[];
  /** seasons of growth until what is left can be done; null: nothing says when */
  seasons: number | null;
}

const NOTHING: StemWork = { took: null, left: [], seasons: null };

/** Shoots that go once the leader stands, as notes for then. */
const waiting = ({ shoots, until }: Selection): string[] =>
  shoots
    .filter((s) => s.becomes === 'off')
    .map((s) => `${partWords(s.part)}: off when the leader is ${Math.round(until * 10) / 10} mm`);

/** The cut of the stem takes all above it; the shoots that answer wait. */
function cutWork(record: StemRecord, cutAt: number | null): StemWork {
  if (cutAt === null || cutAt >= record.height) return NOTHING;
  const said = selectAfter(record, cutAt);
  return { took: crownShare(record, { above: cutAt }), left: said ? waiting(said) : [], seasons: null };
}

/**
 * Choosing among shoots: what stands on a side where another stands goes, if the leader stands already; else it waits
 * until the leader is as thick as is wanted, which thickens by two rings a season. Null where no cut was decided, or
 * nothing answered it.
 */
function choiceWork(record: StemRecord, cutAt: number | null, ring: number): StemWork | null {
  const said = cutAt === null ? null : selectAfter(record, cutAt);
  const leader = said?.shoots.find((s) => s.becomes === 'leader')?.part;
  if (!said || !leader) return null;
  const rest = said.shoots.filter((s) => s.becomes === 'off');
  if (rest.length === 0) return NOTHING;
  const short = said.until - leader.diameter;
  if (short <= 0)
    return { ...NOTHING, took: rest.reduce((n, s) => n + crownShare(record, { part: s.part }), 0) };
  return { took: null, left: waiting(said), seasons: ring > 0 ? Math.ceil(short / (2 * ring)) : null };
}

/** What work by a drawing takes of the crown, what it leaves for another year, and when that can be. `ring`: mm a season. */
export function workOnStem(
  record: StemRecord,
  { finished, cutAt }: StemDecided,
  { takes, cuts, chooses }: StemDeed,
  { vigour, ring }: { vigour: number; ring: number },
): StemWork {
  if (!takes) return NOTHING;
  if (cuts) return cutWork(record, cutAt);
  const choice = chooses ? choiceWork(record, cutAt, ring) : null;
  if (choice) return choice;
  if (finished === null) return NOTHING;
  const { takes: took, later } = cleanUp(record, finished, vigour);
  const left = later.map((c) => `${partWords(c.part)}: ${BRANCH_FAULT_WORDS[c.faults[0]]}`);
  return { took, left, seasons: null };
}
