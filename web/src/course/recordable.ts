import type { Cohort } from '@gonimos/contract/cohorts';
import type { CourseStep } from '@gonimos/contract/course';
import type { Recordable } from '../records/asks';

/** A step of a course as the recording sheet takes it. */
export const recordable = (c: Cohort, s: CourseStep): Recordable & { stepKey: string } => ({
  cohortId: c.id,
  code: c.code,
  live: c.live,
  pending: c.pending,
  part: s.part,
  about: s.about,
  stepKey: s.key,
  operation: s.operation,
  title: s.title,
  container: s.container,
  minutes: s.minutes,
  taxonId: c.taxonId,
  rootCut: s.rootCut,
  topCut: s.topCut,
  nextTime: '',
  odds: s.odds,
});
