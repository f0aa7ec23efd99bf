import { useQuery } from '@tanstack/react-query';
import type { Outcome } from '@gonimos/contract/outcome';
import type { NewRecord, PutOffStep, RecordRow } from '@gonimos/contract/records';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useRecords = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'records'],
    queryFn: () => get<RecordRow[]>(`/cohorts/${cohortId}/records`),
  });

/** `draft`: the key of the form's draft, where it has one. */
export const useRecordWork = (draft?: string) =>
  useWrite((r: Unsent<NewRecord>, id) => call<Outcome>('POST', '/records', { ...r, id }), draft);
export const usePutOff = () =>
  useWrite((p: Unsent<PutOffStep>, id) => call<Outcome>('POST', '/put-offs', { ...p, id }));
export const useUndo = () =>
  useWrite((recordId: string, id) => call<Outcome>('POST', `/records/${recordId}/undo`, { id }));
