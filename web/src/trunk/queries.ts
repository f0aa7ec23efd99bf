import { useQuery } from '@tanstack/react-query';
import type { TrunkLab } from '@gonimos/contract/trunk';
import { get } from '../common/api';

export const useTrunkLab = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'trunk'],
    queryFn: () => get<TrunkLab>(`/cohorts/${cohortId}/trunk`),
  });
