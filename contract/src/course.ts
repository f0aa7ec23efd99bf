import type { PlannedStep, Reason } from '@gonimos/core/course';

/** A step of a kept course, with the grower's own words about it. */
export interface CourseStep extends PlannedStep {
  putOff: { until: string; reason: string } | null;
  /** plants it was done on so far, where the rest is left for another day */
  part: number;
  /** aftercare of work done on a part of the plants is about so many; null: about all */
  about: number | null;
  /** the record that did it */
  recordId: string | null;
  nextTime: string;
}

export interface CohortCourse {
  steps: CourseStep[];
  endsOn: string | null;
  /** when roots fill the container of today; null: they move on before, or stand free */
  rootBoundOn: string | null;
}

export interface PlanChange {
  id: string;
  at: string;
  key: string;
  title: string;
  cause: string;
  wasOpens: string | null;
  wasCloses: string | null;
  nowOpens: string | null;
  nowCloses: string | null;
  because: Reason | null;
}
