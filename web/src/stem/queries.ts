import { useQuery } from '@tanstack/react-query';
import type { StemBench } from '@gonimos/contract/stem-records';
import { get } from '../common/api';
import { wholeDecided, wholeRecord } from './sheet';

/** Drawings as they were kept; what was not asked yet when one was drawn is said to be unsaid. */
const whole = (bench: StemBench): StemBench => ({
  ...bench,
  records: bench.records.map((r) => ({
    ...r,
    record: wholeRecord(r.record),
    decided: wholeDecided(r.decided),
  })),
});

export const useStemBench = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'stem'],
    queryFn: async () => whole(await get<StemBench>(`/cohorts/${cohortId}/stem`)),
  });
