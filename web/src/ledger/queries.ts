import { useQuery } from '@tanstack/react-query';
import type { EntryRow, NewEntry } from '@gonimos/contract/ledger';
import type { Outcome } from '@gonimos/contract/records';
import { useUpheaval } from '../common/upheaval';
import { call, get, newId } from '../common/api';

export const useLedger = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'ledger'],
    queryFn: () => get<EntryRow[]>(`/cohorts/${cohortId}/ledger`),
  });
export const useAddEntry = (cohortId: string) =>
  useUpheaval((e: NewEntry) => call<Outcome>('POST', `/cohorts/${cohortId}/ledger`, e));
export const useReverse = () =>
  useUpheaval((entryId: string) =>
    call<Outcome>('POST', `/ledger/${entryId}/reverse`, { id: newId(), note: '' }),
  );
