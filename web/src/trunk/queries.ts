import { useMutation, useQuery } from '@tanstack/react-query';
import type { Outcome } from '@gonimos/contract/outcome';
import type { AdoptAnswer, AdoptCourse, TrunkLab } from '@gonimos/contract/trunk';
import type { Wish } from '@gonimos/core/lab';
import { call, get, newId } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

/** A course to be taken into the plan, as the lab has it. */
type Adopting = Omit<Unsent<AdoptCourse>, 'wish'> & { wish: Wish };

export const useTrunkLab = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'trunk'],
    queryFn: () => get<TrunkLab>(`/cohorts/${cohortId}/trunk`),
  });
export const useTryAdopt = () =>
  useMutation({
    mutationFn: (a: Adopting) => call<AdoptAnswer>('POST', '/calc/adopt', { ...a, id: newId() }),
  });
export const useAdopt = () =>
  useWrite((a: Adopting, id) => call<Outcome>('POST', '/adoptions', { ...a, id }));
