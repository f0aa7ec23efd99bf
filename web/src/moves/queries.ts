import { useMutation } from '@tanstack/react-query';
import type { BatchLine, BatchPutOff, MoveAnswer, MoveStep } from '@gonimos/contract/moves';
import type { Outcome } from '@gonimos/contract/outcome';
import { call, newId } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useTryMove = () =>
  useMutation({
    mutationFn: (m: { cohortId: string; stepKey: string; to: string }) =>
      call<MoveAnswer>('POST', '/calc/move', m),
  });
export const useMove = () =>
  useWrite((m: Unsent<MoveStep>, id) => call<Outcome>('POST', '/moves', { ...m, id }));
export const useTryBatch = () =>
  useMutation({
    mutationFn: (b: Unsent<BatchPutOff>) =>
      call<BatchLine[]>('POST', '/calc/batch-put-off', { ...b, id: newId() }),
  });
export const useBatch = () =>
  useWrite((b: Unsent<BatchPutOff>, id) => call<BatchLine[]>('POST', '/batch-put-offs', { ...b, id }));
