/** Containers of one kind: on the shelf, and on their way. */
export interface Shelf {
  container: string;
  have: number;
  arriving: number;
  arrives: string | null;
}
/** A step that wants containers on a day. */
export interface Want {
  id: string;
  code: string;
  container: string;
  count: number;
  on: string;
}
export interface Short {
  container: string;
  count: number;
  until: string | null;
  takenBy: string;
}

/**
 * Gives containers to the steps that want them in the order of their days, and says which fall short, by
 * how many, who took the rest, and when more come. Kinds nobody has counted are never short; what was to arrive
 * before `today` and has not been said to have come is not there.
 */
export function allocate(all: readonly Shelf[], wants: readonly Want[], today: string): Map<string, Short> {
  const short = new Map<string, Short>();
  for (const counted of all) {
    const late = counted.arrives !== null && counted.arrives <= today;
    const shelf = late ? { ...counted, arriving: 0, arrives: null } : counted;
    let left = shelf.have;
    let lastTaker = '';
    const inTurn = wants
      .filter((w) => w.container === shelf.container)
      .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.id < b.id ? -1 : 1));
    let arrived = false;
    // of what arrives, spoken for by those who wait for it
    let promised = 0;
    for (const w of inTurn) {
      if (!arrived && shelf.arrives !== null && w.on >= shelf.arrives) {
        left += shelf.arriving - promised;
        arrived = true;
      }
      if (w.count <= left) {
        left -= w.count;
        lastTaker = w.code;
        continue;
      }
      const coming = arrived || shelf.arrives === null ? 0 : shelf.arriving - promised;
      const comes = coming > 0 && w.count <= left + coming;
      short.set(w.id, {
        container: shelf.container,
        count: w.count - Math.max(0, left),
        until: comes ? shelf.arrives : null,
        takenBy: lastTaker,
      });
      if (!comes) continue;
      const arriving = Math.min(coming, w.count);
      promised += arriving;
      left -= w.count - arriving;
    }
  }
  return short;
}
