import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type {
  Cohort,
  CohortRow,
  CoursePreview,
  EditCohort,
  NewCohort,
  PreviewCourse,
  PromotePlant,
  SettleKind,
  SplitCohort,
} from '@gonimos/contract/cohorts';
import type { Outcome } from '@gonimos/contract/records';
import { call, get } from '../common/api';
import { useEdit, useUpheaval, type Unsent } from '../common/upheaval';

export const useRegister = () =>
  useQuery({ queryKey: ['cohorts'], queryFn: () => get<CohortRow[]>('/cohorts') });
export const useCohort = (id: string) =>
  useQuery({ queryKey: ['cohort', id], queryFn: () => get<Cohort>(`/cohorts/${id}`) });

/** The course a cohort would have; asked again as the form changes. */
export const usePreview = (input: PreviewCourse | null) =>
  useQuery({
    queryKey: ['preview', input],
    queryFn: () => call<CoursePreview>('POST', '/calc/course', input),
    enabled: input !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useEnterCohort = () => useUpheaval((c: NewCohort) => call<Outcome>('POST', '/cohorts', c));
export const useSplit = (id: string) =>
  useUpheaval((s: SplitCohort) => call<Outcome>('POST', `/cohorts/${id}/split`, s));
export const usePromote = (id: string) =>
  useUpheaval((p: PromotePlant) => call<Outcome>('POST', `/cohorts/${id}/promote`, p));

export const useSettleKind = (id: string) =>
  useUpheaval((s: SettleKind) => call<Outcome>('POST', `/cohorts/${id}/kind`, s));

export const useEditCohort = (cohort: string) =>
  useEdit((edit: Unsent<EditCohort>, id) => call<Cohort>('PUT', `/cohorts/${cohort}`, { ...edit, id }));
