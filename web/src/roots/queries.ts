import { useQuery } from '@tanstack/react-query';
import type { ChangeRootRecord, NewRootRecord, RootBench } from '@gonimos/contract/root-records';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useRootBench = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'roots'],
    queryFn: () => get<RootBench>(`/cohorts/${cohortId}/roots`),
  });
export const useKeepRoots = () =>
  useWrite((r: Unsent<NewRootRecord>, id) => call<{ id: string }>('POST', '/root-records', { ...r, id }));
export const useChangeRoots = (recordId: string) =>
  useWrite((r: Unsent<ChangeRootRecord>, id) =>
    call<{ id: string; version: number }>('PUT', `/root-records/${recordId}`, { ...r, id }),
  );
export const useWithdrawRoots = () =>
  useWrite(({ recordId, version }: { recordId: string; version: number }, id) =>
    call<{ id: string }>('POST', `/root-records/${recordId}/withdraw`, { id, version }),
  );
