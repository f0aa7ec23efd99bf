import { useQuery } from '@tanstack/react-query';
import type { EntryRow, NewEntry } from '@gonimos/contract/ledger';
import type { Outcome } from '@gonimos/contract/outcome';
import { useWrite, type Unsent } from '../common/write';
import { call, get } from '../common/api';

export const useLedger = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'ledger'],
    queryFn: () => get<EntryRow[]>(`/cohorts/${cohortId}/ledger`),
  });
export const useAddEntry = (cohortId: string) =>
  useWrite((e: Unsent<NewEntry>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/ledger`, { ...e, id }));
export const useReverse = () =>
  useWrite((entryId: string, id) => call<Outcome>('POST', `/ledger/${entryId}/reverse`, { id, note: '' }));
