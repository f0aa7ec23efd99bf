import { useQuery } from '@tanstack/react-query';
import type { BiteAnswer, FittingLine, PartHeld } from '@gonimos/contract/fittings';
import { call, get } from '../common/api';

export const useFittings = () =>
  useQuery({ queryKey: ['fittings'], queryFn: () => get<FittingLine[]>('/fittings') });

/** When what is put around a part of a cohort today will bite. */
export const useBite = (cohortId: string, part: PartHeld) =>
  useQuery({
    queryKey: ['bite', cohortId, part],
    queryFn: () => call<BiteAnswer>('POST', '/calc/bite', { cohortId, part }),
    enabled: cohortId !== '',
  });
