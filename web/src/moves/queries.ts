import { useMutation } from '@tanstack/react-query';
import type { BatchLine, BatchPutOff, MoveAnswer, MoveStep } from '@gonimos/contract/moves';
import type { Outcome } from '@gonimos/contract/records';
import { call } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useTryMove = () =>
  useMutation({
    mutationFn: (m: { cohortId: string; stepKey: string; to: string }) =>
      call<MoveAnswer>('POST', '/calc/move', m),
  });
export const useMove = () => useUpheaval((m: MoveStep) => call<Outcome>('POST', '/moves', m));
export const useTryBatch = () =>
  useMutation({ mutationFn: (b: BatchPutOff) => call<BatchLine[]>('POST', '/calc/batch-put-off', b) });
export const useBatch = () =>
  useUpheaval((b: BatchPutOff) => call<BatchLine[]>('POST', '/batch-put-offs', b));
