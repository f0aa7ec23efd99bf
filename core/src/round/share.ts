/** A step as it is handed out. */
export interface ShareStep {
  id: string;
  placeId: string;
  minutes: number;
  skilled: boolean;
}

export interface Hand {
  id: string;
  /** may do what asks for skill */
  skilled: boolean;
}

/** Who works at a place already does more there, as long as they have not so much more to do than another, minutes. */
const SAME_PLACE = 20;

/**
 * A day's steps handed out to those who work: what asks for skill to the skilled, the longest first, each to who has
 * least to do so far, or to who is at that place already. Who does what, by step; a day without skilled hands leaves
 * skilled work to all.
 *
 * @example shareOut([{ id: 'a', placeId: 'p', minutes: 60, skilled: false }], [{ id: 'Ida', skilled: false }]).get('a') // 'Ida'
 */
export function shareOut(steps: readonly ShareStep[], hands: readonly Hand[]): Map<string, string> {
  const given = new Map<string, string>();
  if (hands.length === 0) return given;
  const load = new Map(hands.map((h) => [h.id, 0]));
  const at = new Map(hands.map((h) => [h.id, new Set<string>()]));
  const able = hands.filter((h) => h.skilled);
  const inTurn = steps.toSorted(
    (a, b) =>
      Number(b.skilled) - Number(a.skilled) ||
      b.minutes - a.minutes ||
      (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
  for (const s of inTurn) {
    const who = s.skilled && able.length > 0 ? able : hands;
    const cost = (h: Hand) => load.get(h.id)! - (at.get(h.id)!.has(s.placeId) ? SAME_PLACE : 0);
    const best = who.reduce((a, b) => (cost(b) < cost(a) ? b : a));
    given.set(s.id, best.id);
    load.set(best.id, load.get(best.id)! + s.minutes);
    at.get(best.id)!.add(s.placeId);
  }
  return given;
}
