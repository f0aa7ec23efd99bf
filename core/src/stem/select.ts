import { isShoot, sideBetween, stemAt, type StemPart, type StemRecord } from './record.ts';

/** Shoots so far below a cut answer to it, of the stem's thickness there. Common practice, no source. */
const NEAR = 5;
/** The others stay until the leader is so thick against the wound: till then they close it. Common practice, no source. */
const STANDS_AT = 1 / 3;

/** What becomes of a shoot after a cut. */
export interface Selected {
  part: StemPart;
  becomes: 'leader' | 'reserve' | 'side' | 'off';
  because: string;
}

export interface Selection {
  shoots: Selected[];
  /** thickness at which the rest may go, mm */
  until: number;
  /** living parts below that are thicker than the new leader */
  thicker: StemPart[];
}

const isBranch = (p: StemPart): boolean => p.role === 'first' || p.role === 'back';

/** How well a shoot would lead: near the cut, thick, and rising. */
function leads(p: StemPart, cutAt: number, wound: number): number {
  const near = 1 - Math.min(1, Math.max(0, cutAt - p.height) / (NEAR * wound));
  const thick = Math.min(1, p.diameter / (0.5 * wound));
  const rises = Math.min(1, Math.max(0, (p.rise ?? 45) / 60));
  const weak = p.vitality === 'weak' ? 0.5 : p.vitality === 'asleep' ? 1 : 0;
  return (p.role === 'leader' ? 2 : 0) + 1.2 * near + thick + 0.5 * rises - weak;
}

/**
 * After a cut some shoots answer: one leads, one is kept in reserve, on another side if it can be; what stands on a third
 * side is a branch to be, the rest go once the leader stands. Null where none answered yet. Common practice, no source.
 */
export function selectAfter(record: StemRecord, cutAt: number): Selection | null {
  const wound = stemAt(record, Math.min(cutAt, record.height));
  // what was decided to be a branch stays one
  const free = record.parts.filter((p) => isShoot(p) && p.kind !== 'sacrifice' && !isBranch(p));
  const answered = free.filter((p) => p.height <= cutAt + wound && p.height >= cutAt - NEAR * wound);
  if (answered.length === 0) return null;
  const ranked = answered.toSorted(
    (a, b) => leads(b, cutAt, wound) - leads(a, cutAt, wound) || (a.id < b.id ? -1 : 1),
  );
  const [leader, ...rest] = ranked;
  const reserve =
    rest.find((p) => p.role === 'reserve') ??
    rest.find((p) => sideBetween(p.azimuth, leader.azimuth) >= 60) ??
    rest[0];
  const taken = [leader.azimuth, ...(reserve ? [reserve.azimuth] : [])];
  const shoots = ranked.map((part): Selected => {
    if (part === leader)
      return { part, becomes: 'leader', because: 'nearest to the cut for its thickness, and rising' };
    if (part === reserve)
      return { part, becomes: 'reserve', because: 'takes over if the leader fails, kept shorter than it' };
    const apart = taken.every((side) => sideBetween(part.azimuth, side) >= 60);
    if (!apart)
      return { part, becomes: 'off', because: 'on a side where another stands: off when the leader stands' };
    taken.push(part.azimuth);
    return { part, becomes: 'side', because: 'on a side of its own: shortened, a branch to be' };
  });
  const thicker = record.parts.filter(
    (p) => isShoot(p) && !answered.includes(p) && p.height < cutAt && p.diameter > leader.diameter,
  );
  return { shoots, until: STANDS_AT * wound, thicker };
}
