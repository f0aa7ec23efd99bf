import type { PlaceKind } from './nursery.ts';
import type { RingRun } from '@gonimos/core/trunk';

/** A cohort as it is drawn in its bed. */
export interface BedCohort {
  id: string;
  code: string;
  container: string;
  goalCaliper: number | null;
  rings: RingRun;
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
