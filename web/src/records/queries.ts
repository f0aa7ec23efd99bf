import { useMutation, useQuery } from '@tanstack/react-query';
import type { AskPutOff, PutOffAnswer } from '@gonimos/contract/moves';
import type { Outcome } from '@gonimos/contract/outcome';
import type { NewRecord, PutOffStep, RecordRow } from '@gonimos/contract/records';
import { call, get } from '../common/api';
import { offerUndo } from '../common/undo';
import { countWords } from '../common/words';
import { useWrite, type Unsent } from '../common/write';

export const useRecords = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'records'],
    queryFn: () => get<RecordRow[]>(`/cohorts/${cohortId}/records`),
  });

/** `draft`: the key of the form's draft, where it has one. */
export const useRecordWork = (draft?: string) =>
  useWrite(async (r: Unsent<NewRecord>, id) => {
    const outcome = await call<Outcome>('POST', '/records', { ...r, id });
    offerUndo(outcome.recordId, `Recorded. ${countWords(outcome)}.`, outcome.moved.length);
    return outcome;
  }, draft);
/** A question, asked again as the day is changed. */
export const usePutOffCost = () =>
  useMutation({ mutationFn: (a: AskPutOff) => call<PutOffAnswer>('POST', '/calc/put-off', a) });
export const usePutOff = () =>
  useWrite(async (p: Unsent<PutOffStep>, id) => {
    const outcome = await call<Outcome>('POST', '/put-offs', { ...p, id });
    offerUndo(outcome.recordId, 'Put off.', outcome.moved.length);
    return outcome;
  });
