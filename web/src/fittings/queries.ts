import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { BiteAnswer, BiteOfStretch, FittingLine, PartHeld } from '@gonimos/contract/fittings';
import type { Stretch } from '@gonimos/core/operations';
import { call, getHeld } from '../common/api';

export const useFittings = () =>
  useQuery({ queryKey: ['fittings'], queryFn: () => getHeld<FittingLine[]>('/fittings') });

/** When what is put around a part of a cohort today will bite. */
export const useBite = (cohortId: string, part: PartHeld) =>
  useQuery({
    queryKey: ['bite', cohortId, part],
    queryFn: () => call<BiteAnswer>('POST', '/calc/bite', { cohortId, part }),
    enabled: cohortId !== '',
  });

/** When wires on stretches of a plant would bite, put on today; asked again as the stem is drawn. */
export const useBites = (cohortId: string, stretches: readonly (Stretch & { id: string })[]) =>
  useQuery({
    queryKey: ['bites', cohortId, stretches],
    queryFn: () => call<BiteOfStretch[]>('POST', '/calc/bites', { cohortId, stretches }),
    enabled: stretches.length > 0,
    placeholderData: keepPreviousData,
  });
