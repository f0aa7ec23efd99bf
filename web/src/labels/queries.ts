import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { PRINTER_PATH, type Printed } from '@gonimos/contract/label-printer';
import type { HandRow } from '@gonimos/contract/round';
import { call, get } from '../common/api';

/** What the simulated printer of the demo keeps; null where there is none. */
export const usePrinted = () =>
  useQuery({
    queryKey: ['printed labels'],
    queryFn: async () => {
      const answer = await fetch(PRINTER_PATH);
      return answer.ok ? ((await answer.json()) as Printed) : null;
    },
  });

/** Sends labels to the printer: a strip each, so what was sent twice is printed twice. */
export const usePrintLabels = () => {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (asked: { cohorts: string[]; copies: number }) =>
      call<{ printed: number }>('POST', '/labels/print', asked),
    onSettled: () => client.invalidateQueries({ queryKey: ['printed labels'] }),
  });
};

/** Who may be given a share of the day. */
export const useHands = () =>
  useQuery({ queryKey: ['hands'], queryFn: () => get<HandRow[]>('/round/hands') });
