import { useQuery } from '@tanstack/react-query';
import type { Round } from '@gonimos/contract/round';
import { get } from '../shared/api';

export const useRound = () => useQuery({ queryKey: ['round'], queryFn: () => get<Round>('/round') });
