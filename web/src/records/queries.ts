import { useQuery } from '@tanstack/react-query';
import type { NewRecord, Outcome, PutOffStep, RecordRow } from '@gonimos/contract/records';
import { call, get, newId } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useRecords = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'records'],
    queryFn: () => get<RecordRow[]>(`/cohorts/${cohortId}/records`),
  });

export const useRecordWork = () => useUpheaval((r: NewRecord) => call<Outcome>('POST', '/records', r));
export const usePutOff = () => useUpheaval((p: PutOffStep) => call<Outcome>('POST', '/put-offs', p));
export const useUndo = () =>
  useUpheaval((recordId: string) => call<Outcome>('POST', `/records/${recordId}/undo`, { id: newId() }));
