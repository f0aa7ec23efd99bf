import { useQuery } from '@tanstack/react-query';
import type { SharedPot } from '@gonimos/contract/pots';
import { get } from '../common/api';

export const usePot = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'pot'],
    queryFn: () => get<SharedPot>(`/cohorts/${cohortId}/pot`),
  });
