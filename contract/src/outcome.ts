import type { Moved } from '@gonimos/core/course';

/** What a write did to the plan. */
export interface Outcome {
  recordId: string;
  live: number;
  pending: number;
  moved: Moved[];
  /** goals that still want what the work has just given, such as prunings to stick */
  offers?: StartOffer[];
}

export interface StartOffer {
  goalId: string;
  taxonId: string;
  programmeId: string;
  programmeName: string;
  /** still to start for that goal */
  count: number;
  parentId: string;
}
