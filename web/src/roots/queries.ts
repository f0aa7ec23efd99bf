import { useQuery } from '@tanstack/react-query';
import type { RootBench } from '@gonimos/contract/root-records';
import { get } from '../common/api';
import { wholeDecided } from './drawing';

/** Drawings as they were kept; what was not asked yet when one was drawn is said to be unsaid. */
const whole = (bench: RootBench): RootBench => ({
  ...bench,
  records: bench.records.map((r) => ({ ...r, decided: wholeDecided(r.decided) })),
});

export const useRootBench = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'roots'],
    queryFn: async () => whole(await get<RootBench>(`/cohorts/${cohortId}/roots`)),
  });
