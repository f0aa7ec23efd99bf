import { useQuery } from '@tanstack/react-query';
import type { RootBench } from '@gonimos/contract/root-records';
import { get } from '../common/api';

export const useRootBench = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'roots'],
    queryFn: () => get<RootBench>(`/cohorts/${cohortId}/roots`),
  });
