import { useQuery } from '@tanstack/react-query';
import type { StemBench } from '@gonimos/contract/stem-records';
import { get } from '../common/api';

export const useStemBench = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'stem'],
    queryFn: () => get<StemBench>(`/cohorts/${cohortId}/stem`),
  });
