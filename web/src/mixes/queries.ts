import { useQuery } from '@tanstack/react-query';
import type { CountMix, Mixes, SaveMix } from '@gonimos/contract/mixes';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useMixes = () => useQuery({ queryKey: ['mixes'], queryFn: () => get<Mixes>('/mixes') });
export const useSaveMix = () =>
  useWrite((m: Unsent<SaveMix>, id) => call<Mixes>('PUT', '/mixes', { ...m, id }));
export const useCountMix = () =>
  useWrite((c: Unsent<CountMix>, id) => call<Mixes>('PUT', '/mix-stock', { ...c, id }));
