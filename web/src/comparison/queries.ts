import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { AskComparison, Comparison } from '@gonimos/contract/comparison';
import { getHeld } from '../common/api';

export const useComparison = (ask: AskComparison) =>
  useQuery({
    queryKey: ['comparison', ask],
    queryFn: () => getHeld<Comparison>(`/comparison?${new URLSearchParams(ask)}`),
    placeholderData: keepPreviousData,
  });
