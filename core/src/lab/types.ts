import type { Wall } from '../containers/index.ts';
import type { GroupTolerance } from '../taxa/index.ts';

/** A plant as a course of thickening begins with it. */
export interface LabStart {
  /** calendar year of the first season */
  year: number;
  /** free ring of its kind, mm a season */
  ring: number;
  tolerance: GroupTolerance;
  /** 1..5 */
  vigour: number;
  /** mm at the base */
  caliper: number;
  /** mm; null: judged by its slenderness */
  height: number | null;
  /** what it stands in: litres of root room for each plant, null in the ground */
  litres: number | null;
  wall: Wall;
}

/** Something done in the spring of a year, before growth. */
export type LabAct =
  | { year: number; do: 'move'; litres: number | null; wall: Wall; rootCut: number; name: string }
  | { year: number; do: 'chop'; height: number }
  /** shoots cut back: share of the crown that goes */
  | { year: number; do: 'prune'; share: number }
  /** a shoot left to grow for the trunk's sake: where on the stem, and the crown it comes to, of a natural one */
  | {
      year: number;
      do: 'sacrifice';
      id: string;
      height: number;
      foliage: number;
      /** of one that grows already, mm: it has its crown */
      diameter?: number;
    }
  | { year: number; do: 'off'; id: string }
  /** what is open of a scar is carved into a feature, and closes no more; 'chop': that of the chop */
  | { year: number; do: 'carve'; id: string }
  /** a way of thickening begun or ended */
  | { year: number; do: 'method'; id: string; on: boolean };

export interface LabCourse {
  id: string;
  name: string;
  acts: readonly LabAct[];
}

/** The luck of one run: the cohort's own factor, and that of each season. */
export interface Luck {
  cohort: number;
  seasons: readonly number[];
  /** -1.28, 0 and 1.28 stand for one in ten less, the middle, one in ten more of each way of thickening */
  methods: number;
}

export interface Scar {
  id: string;
  /** mm above the base */
  height: number;
  /** mm across, when it was made, and what is still open */
  width: number;
  open: number;
  /** of the stem there when it was made, 0..1 */
  share: number;
  /** calendar year it was made in */
  made: number;
  /** carved into a feature: it stays as it is */
  carved: boolean;
}

/** A scar as it is seen after a season. */
export interface SeenScar extends Scar {
  /** what is open of it against the stem there now, 0..1; of a carved one nothing counts as open */
  left: number;
}

/** The plant after a season. */
export interface LabYear {
  year: number;
  /** mm at the base */
  caliper: number;
  /** mm */
  height: number;
  /** mm at each height of the grid; 0 above the tip */
  stem: Float64Array;
  scars: readonly SeenScar[];
  /** sacrifices that are on it: where, and how thick */
  sacrifices: readonly { id: string; height: number; diameter: number }[];
  /** 0..1; 1: roots circle and ask for a move; 0 in the ground */
  fill: number;
  /** wood of the season held back by the room of its roots: 1 is free */
  room: number;
  /** least of it in the year, 0..1 */
  reserve: number;
}
