import { useQuery } from '@tanstack/react-query';
import type { Meanwhile } from '@gonimos/contract/meanwhile';
import { call, get } from '../common/api';
import { useWrite } from '../common/write';

export const useMeanwhile = () =>
  useQuery({ queryKey: ['meanwhile'], queryFn: () => get<Meanwhile>('/meanwhile') });
export const useSeen = () => useWrite((_: null, id) => call<unknown>('PUT', '/meanwhile', { id }));
