import { useQuery } from '@tanstack/react-query';
import type { CountMix, MakeBatch, Mixes, SaveMix, WithdrawBatch } from '@gonimos/contract/mixes';
import { call, getHeld } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useMixes = () => useQuery({ queryKey: ['mixes'], queryFn: () => getHeld<Mixes>('/mixes') });
export const useSaveMix = () =>
  useWrite((m: Unsent<SaveMix>, id) => call<Mixes>('PUT', '/mixes', { ...m, id }));
export const useCountMix = () =>
  useWrite((c: Unsent<CountMix>, id) => call<Mixes>('PUT', '/mix-stock', { ...c, id }));
export const useMakeBatch = () =>
  useWrite((b: Unsent<MakeBatch>, id) => call<Mixes>('POST', '/mix-batches', { ...b, id }));
export const useWithdrawBatch = () =>
  useWrite((b: Unsent<WithdrawBatch>, id) => call<Mixes>('POST', '/mix-batches/withdraw', { ...b, id }));
