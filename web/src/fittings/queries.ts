import { useQuery } from '@tanstack/react-query';
import type { FittingLine } from '@gonimos/contract/fittings';
import { get } from '../common/api';

export const useFittings = () =>
  useQuery({ queryKey: ['fittings'], queryFn: () => get<FittingLine[]>('/fittings') });
