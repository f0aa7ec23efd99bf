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
import type { Outcome } from '@gonimos/contract/outcome';
import { call, get, getHeld, NOT_COMPARED } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useRegister = () =>
  useQuery({
    queryKey: ['cohorts'],
    queryFn: () => getHeld<CohortRow[]>('/cohorts'),
    structuralSharing: NOT_COMPARED,
  });
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

/** Under the key of the form's draft, so that a reload does not enter it twice. */
export const useEnterCohort = (draft: string) =>
  useWrite((c: Unsent<NewCohort>, id) => call<Outcome>('POST', '/cohorts', { ...c, id }), draft);
export const useSplit = (cohortId: string) =>
  useWrite((s: Unsent<SplitCohort>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/split`, { ...s, id }));
export const usePromote = (cohortId: string) =>
  useWrite((p: Unsent<PromotePlant>, id) =>
    call<Outcome>('POST', `/cohorts/${cohortId}/promote`, { ...p, id }),
  );

export const useSettleKind = (cohortId: string) =>
  useWrite((s: Unsent<SettleKind>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/kind`, { ...s, id }));

export const useEditCohort = (cohort: string) =>
  useWrite((edit: Unsent<EditCohort>, id) => call<Cohort>('PUT', `/cohorts/${cohort}`, { ...edit, id }));
