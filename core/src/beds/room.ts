import { CROWN } from '../../data/fit.ts';
import { container, piecesFor } from '../containers/index.ts';
import { cp } from '../params/index.ts';
import { SLENDERNESS } from '../trunk/index.ts';

/** Pots of a bench stand so far from each other. Common practice, no source. */
export const POT_GAP = cp(15, 'mm');
/** Crowns of neighbours may meet: a plant wants so much of the width of its own. Common practice, no source. */
export const CROWN_SHARE = cp(0.7, 'of the crown');
/** A crown among others is kept to so many times its pot. Common practice, no source. */
export const CROWDED = cp(1.5, 'of the rim');
/** Plants of a ground row stand so far apart, and rows so far from each other. Common practice, no source. */
export const ROW = { along: cp(300, 'mm'), between: cp(700, 'mm') } as const;

/** What stands on a bench: so many pieces, each so large with the room around it, mm. */
export interface Footprint {
  pieces: number;
  length: number;
  width: number;
  round: boolean;
}

/** Room that plants of a cohort take: their pots with a gap, or their crowns where those are wider. `caliper`: mm. */
export function footprintOf(containerId: string, plants: number, caliper: number): Footprint {
  const kind = container(containerId);
  if (kind.wall === 'ground')
    return { pieces: plants, length: ROW.along.value, width: ROW.between.value, round: true };
  const crown = kind.shared ? 0 : CROWN_SHARE.value * CROWN.wide.value * SLENDERNESS.value * caliper;
  const side = (rim: number) => Math.max(rim + POT_GAP.value, Math.min(crown, CROWDED.value * rim));
  return {
    pieces: piecesFor(kind, plants),
    length: side(Math.max(...kind.rim)),
    width: side(Math.min(...kind.rim)),
    round: kind.shape === 'round',
  };
}

/** m² of a footprint. */
export const areaOf = ({ pieces, length, width }: Footprint): number => (pieces * length * width) / 1e6;

/** How many of a cohort are up, how many may come yet, and what they were sown into and stand in. */
export interface Sown {
  live: number;
  pending: number;
  container: string;
  /** null: nobody knows */
  firstContainer: string | null;
}

/** What takes room of a cohort. */
export interface Lying {
  /** plants, or what may become plants while none is up */
  plants: number;
  /** seed not up beside plants that are: it lies where it was sown, and is not potted on with them */
  seeds: number;
}

/**
 * What of a cohort stands on a bench. Common practice, no source.
 * @example lying({ live: 18, pending: 39, container: 'basket-25', firstContainer: 'seed-flat' }) // 18 plants, no seeds
 */
export function lying({ live, pending, container: now, firstContainer }: Sown): Lying {
  if (live === 0) return { plants: pending, seeds: 0 };
  return { plants: live, seeds: now === firstContainer ? pending : 0 };
}

/** A cohort as it stands, and what it will be put into. */
export interface Standing extends Lying {
  placeId: string;
  container: string;
  /** mm, now and in a year */
  caliper: { now: number; later: number };
  /** moves into other pots ahead, soonest first */
  moves: readonly { on: string; container: string }[];
}

export interface Room {
  id: string;
  /** m²; null: nobody measured it */
  area: number | null;
}

/** How full a place is in a month. */
export interface MonthFull {
  /** "2037-05" */
  month: string;
  /** m² that plants take in the middle of it */
  taken: number;
  /** of the room, 1 is full; null: the room is not measured */
  share: number | null;
}

const MIDDLE = 15;

/** Months from a day's own on. */
export function monthsFrom(today: string, count: number): string[] {
  const [year, month] = today.split('-').map(Number);
  return Array.from({ length: count }, (_, i) => {
    const at = month - 1 + i;
    return `${year + Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
  });
}

/** m² a cohort takes in the middle of a month, so many months ahead. */
function takenIn(s: Standing, month: string, ahead: number): number {
  const day = `${month}-${MIDDLE}`;
  const moved = s.moves.findLast((m) => m.on <= day);
  const caliper = s.caliper.now + ((s.caliper.later - s.caliper.now) * Math.min(12, ahead)) / 12;
  if (moved) return areaOf(footprintOf(moved.container, s.plants, caliper));
  return areaOf(footprintOf(s.container, s.plants + s.seeds, caliper));
}

/** How full each place will be, month by month, when everything that is planned is done where it stands. */
export function roomByMonth(
  rooms: readonly Room[],
  standing: readonly Standing[],
  months: readonly string[],
): Map<string, MonthFull[]> {
  return new Map(
    rooms.map(({ id, area }) => {
      const here = standing.filter((s) => s.placeId === id);
      return [
        id,
        months.map((month, ahead) => {
          const taken = here.reduce((sum, s) => sum + takenIn(s, month, ahead), 0);
          return { month, taken, share: area === null ? null : taken / area };
        }),
      ];
    }),
  );
}

/** Where pieces stand on a bench: laid in rows along its length, those that do not fit left off. Middles, mm. */
export interface Laid {
  spots: { x: number; y: number }[];
  /** pieces that find no room */
  over: number;
}

/** Lays footprints one after another on a bench of so many mm, each in rows of its own size. */
export function layOut(length: number, width: number, footprints: readonly Footprint[]): Laid[] {
  let x = 0;
  let y = 0;
  let deep = 0;
  return footprints.map((f) => {
    const spots: Laid['spots'] = [];
    for (let i = 0; i < f.pieces; i++) {
      // the bench is filled in stripes across it
      if (y + f.length > width && y > 0) {
        x += deep;
        y = 0;
        deep = 0;
      }
      if (x + f.width > length) break;
      spots.push({ x: x + f.width / 2, y: y + f.length / 2 });
      y += f.length;
      deep = Math.max(deep, f.width);
    }
    return { spots, over: f.pieces - spots.length };
  });
}
