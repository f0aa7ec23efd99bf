import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { NewRecord, Outcome, PutOffStep, RecordRow } from '@gonimos/contract/records';
import { call, get, newId } from '../shared/api';

export const useRecords = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'records'],
    queryFn: () => get<RecordRow[]>(`/cohorts/${cohortId}/records`),
  });

/** After a write about a cohort: its own pages, the register and the round are read again. */
export function useCohortWrite<T>(send: (input: T) => Promise<Outcome>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: () =>
      Promise.all(
        ['cohort', 'cohorts', 'round', 'places'].map((key) => client.invalidateQueries({ queryKey: [key] })),
      ),
  });
}

export const useRecordWork = () => useCohortWrite((r: NewRecord) => call<Outcome>('POST', '/records', r));
export const usePutOff = () => useCohortWrite((p: PutOffStep) => call<Outcome>('POST', '/put-offs', p));
export const useUndo = () =>
  useCohortWrite((recordId: string) => call<Outcome>('POST', `/records/${recordId}/undo`, { id: newId() }));
