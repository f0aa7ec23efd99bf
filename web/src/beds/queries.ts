import { useQuery } from '@tanstack/react-query';
import type { Bed } from '@gonimos/contract/beds';
import { get } from '../common/api';

export const useBeds = () => useQuery({ queryKey: ['beds'], queryFn: () => get<Bed[]>('/beds') });
