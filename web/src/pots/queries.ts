import { useQuery } from '@tanstack/react-query';
import type { PotsProposed } from '@gonimos/contract/fit';
import type { SharedPot } from '@gonimos/contract/pots';
import { get } from '../common/api';

export const usePot = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'pot'],
    queryFn: () => get<SharedPot>(`/cohorts/${cohortId}/pot`),
  });

/** Containers that suit a cohort at its next move. */
export const useProposed = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'pots'],
    queryFn: () => get<PotsProposed>(`/cohorts/${cohortId}/pots`),
  });
