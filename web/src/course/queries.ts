import { useQuery } from '@tanstack/react-query';
import type { CohortCourse, PlanChange } from '@gonimos/contract/course';
import { get } from '../common/api';

export const useCourse = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'course'],
    queryFn: () => get<CohortCourse>(`/cohorts/${cohortId}/course`),
  });
export const useChanges = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'changes'],
    queryFn: () => get<PlanChange[]>(`/cohorts/${cohortId}/changes`),
  });
