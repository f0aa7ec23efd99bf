import { stemAt, type StemPart, type StemRecord } from './record.ts';
import { crownShare } from './wiring.ts';

/** A part takes over when it is so thick against the stem it stands on. Common practice, no source. */
const STANDS_AT = 0.5;
/** Longer than this nobody waits, seasons. */
const AHEAD = 12;

/** When a lesser stem can become the trunk: grown for bulk or laid down as a raft, a plant is cut back to it in the end. */
export interface TakeOver {
  /** its thickness and that of the stem there, mm: now, and after each season */
  seasons: { minor: number; stem: number }[];
  /** seasons until it stands for itself; null: never, while all above it stays */
  after: number | null;
  /** share of the crown above it that has to go for it to stand one day, 0..1; 0: none */
  thin: number;
}

const area = (mm: number): number => (Math.PI / 4) * mm ** 2;
const across = (mm2: number): number => 2 * Math.sqrt(mm2 / Math.PI);

/**
 * A season's wood is shared by crown, as the pipe model has it (Shinozaki et al. 1964): the part has its own share, the
 * stem where it stands all that is above. What stands keeps its share. `ring`: of the base, mm a season.
 *
 * @example takeOver(record, part, 4).after // 3
 */
export function takeOver(record: StemRecord, part: StemPart, ring: number): TakeOver {
  const grows = area(record.base + 2 * ring) - area(record.base);
  const own = crownShare(record, { part });
  const above = Math.min(1, crownShare(record, { above: part.height }) + own);
  const [minor, stem] = [area(part.diameter), area(stemAt(record, part.height))];
  const seasons = Array.from({ length: AHEAD + 1 }, (_, n) => ({
    minor: across(minor + n * own * grows),
    stem: across(stem + n * above * grows),
  }));
  const after = seasons.findIndex((s) => s.minor >= STANDS_AT * s.stem);
  // in the long run thicknesses go by shares: it stands one day where its share of what is above is a quarter
  const bulk = Math.max(0, above - own);
  const bears = own * (1 / STANDS_AT ** 2 - 1);
  const thin = bulk === 0 || bulk <= bears ? 0 : (bulk - bears) / bulk;
  return { seasons, after: after < 0 ? null : after, thin: after < 0 ? thin : 0 };
}
