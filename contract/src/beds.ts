import type { PlaceKind } from './nursery.ts';
import type { MonthFull, WinterMove } from '@gonimos/core/beds';
import type { RingRun } from '@gonimos/core/trunk';

/** A cohort as it is drawn in its bed. */
export interface BedCohort {
  id: string;
  code: string;
  container: string;
  goalCaliper: number | null;
  rings: RingRun;
}

/** A cohort on its bench, with the room it takes. */
export interface RoomCohort {
  id: string;
  code: string;
  taxonId: string;
  /** with the seed that still lies beside them where it was sown */
  plants: number;
  container: string;
  /** mm at the base, as expected */
  caliper: number;
  /** held apart: it may not be moved */
  held: boolean;
}

/** A place with its room, how full it is and will be. */
export interface BedRoom {
  id: string;
  name: string;
  kind: PlaceKind;
  /** mm; null: nobody measured it */
  length: number | null;
  width: number | null;
  months: MonthFull[];
  /** the first of its cohorts, as many as are drawn, and how many stand there besides */
  cohorts: RoomCohort[];
  more: number;
}

/** A place that will hold more than it has room for, and the first month it does. */
export interface FullBed {
  id: string;
  name: string;
  /** "2037-05" */
  month: string;
  share: number;
}

/** Plants that are hardened off, go out to rest, or are set out again. */
export interface HardenLine {
  cohortId: string;
  code: string;
  title: string;
  opens: string;
  closes: string;
}

/** What goes where before the cold of the year ahead, and what is led out by degrees. */
export interface WinterPlan {
  moves: WinterMove[];
  out: HardenLine[];
}

/** A place of the nursery seen from above. */
export interface Bed {
  id: string;
  name: string;
  kind: PlaceKind;
  cohorts: number;
  plants: number;
  /** steps that are open there today, and what was missed there */
  due: number;
  missed: number;
  /** the first of its cohorts, those with work first */
  some: BedCohort[];
}
