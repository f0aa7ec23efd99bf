import type { IsoDate } from '../calendar/index.ts';

/** A cohort that has to stand elsewhere before the cold. */
export interface Tender {
  cohortId: string;
  code: string;
  placeId: string;
  /** the night it bears, °C */
  bears: number;
  /** it is to be in by this day */
  by: IsoDate;
  /** m² it takes */
  area: number;
}

/** A place as it is in winter. */
export interface WinterPlace {
  id: string;
  name: string;
  /** the coldest night that one year in ten brings, °C */
  coldest: number;
  /** m² that stand free there in winter; null: nobody measured it */
  free: number | null;
}

export interface WinterMove extends Tender {
  /** where it goes; null: nowhere is warm enough, or nowhere has room */
  to: string | null;
  why: string;
}

/**
 * Where what is tender goes for the winter: the tenderest choose first, and each takes the coldest place that it still
 * bears and that has room, so that the warm house is left to who needs it. A place nobody measured is taken as roomy.
 */
export function winterMoves(tender: readonly Tender[], places: readonly WinterPlace[]): WinterMove[] {
  const free = new Map(places.map((p) => [p.id, p.free]));
  const inTurn = tender.toSorted(
    (a, b) => b.bears - a.bears || b.area - a.area || (a.code < b.code ? -1 : 1),
  );
  const moves = inTurn.map((t): WinterMove => {
    const warm = places
      .filter((p) => p.coldest >= t.bears && p.id !== t.placeId)
      .toSorted((a, b) => a.coldest - b.coldest);
    const room = warm.find((p) => (free.get(p.id) ?? Infinity) >= t.area);
    if (room) {
      const left = free.get(room.id) ?? null;
      if (left !== null) free.set(room.id, left - t.area);
      return { ...t, to: room.id, why: `${room.name} stays above ${room.coldest} °C in nine winters of ten` };
    }
    const why =
      warm.length === 0
        ? `no place stays above ${t.bears} °C`
        : `no room: ${t.area.toFixed(1)} m² are wanted where it is warm enough`;
    return { ...t, to: null, why };
  });
  return moves.toSorted((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : a.code < b.code ? -1 : 1));
}
