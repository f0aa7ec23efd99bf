import { type StemPart, type StemRecord } from './record.ts';

/** What became of a stem between two drawings of it. */
export interface StemSince {
  /** mm the base has gained, and the tip */
  base: number;
  height: number;
  /** parts that stand in both: how much thicker, mm, and what was noted then */
  grown: { id: string; thick: number; note: string }[];
  /** parts by name that are new, and that have gone */
  fresh: string[];
  gone: string[];
}

/** Parts of one name that are no longer what they were are another part: a bud that grew out is the same. */
const same = (was: StemPart, is: StemPart): boolean => (was.kind === 'stub') === (is.kind === 'stub');

/** A stem as it is against an earlier drawing of the same plant; parts go by their names. */
export function stemSince(before: StemRecord, now: StemRecord): StemSince {
  const was = new Map(before.parts.map((p) => [p.id, p]));
  const kept = now.parts.flatMap((p) => {
    const old = was.get(p.id);
    return old && same(old, p) ? [{ id: p.id, thick: p.diameter - old.diameter, note: old.note }] : [];
  });
  const names = new Set(kept.map((k) => k.id));
  return {
    base: now.base - before.base,
    height: now.height - before.height,
    grown: kept,
    fresh: now.parts.filter((p) => !names.has(p.id)).map((p) => p.id),
    gone: before.parts.filter((p) => !names.has(p.id)).map((p) => p.id),
  };
}
