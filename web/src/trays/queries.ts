import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { MarkCells, MarkOutcome, NewTray, Trays } from '@gonimos/contract/trays';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

const key = (cohortId: string) => ['cohort', cohortId, 'trays'];
export const useTrays = (cohortId: string, enabled = true) =>
  useQuery({ queryKey: key(cohortId), queryFn: () => get<Trays>(`/cohorts/${cohortId}/trays`), enabled });
export const useAddTray = (cohortId: string) =>
  useWrite((t: Unsent<NewTray>, id) =>
    call<{ id: string }>('POST', `/cohorts/${cohortId}/trays`, { ...t, id }),
  );

export type Send = { trayId: string } & ({ mark: MarkCells } | { undo: string; id: string });

/** Marks cells, or takes marks back; one after another, in the order they were made. */
export function useMark(cohortId: string) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: `trays ${cohortId}` },
    mutationFn: (s: Send) =>
      'mark' in s
        ? call<MarkOutcome>('POST', `/trays/${s.trayId}/marks`, s.mark)
        : call<MarkOutcome>('POST', `/trays/${s.trayId}/marks/${s.undo}/undo`, { id: s.id }),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['cohort', cohortId] });
      void client.invalidateQueries({ queryKey: ['cohorts'] });
      void client.invalidateQueries({ queryKey: ['round'] });
    },
  });
}
