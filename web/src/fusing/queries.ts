import { useQuery } from '@tanstack/react-query';
import type { LookAtJoint, PlantGroups, SetStems } from '@gonimos/contract/fusing';
import type { Outcome } from '@gonimos/contract/outcome';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useGroups = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'groups'],
    queryFn: () => get<PlantGroups>(`/cohorts/${cohortId}/groups`),
  });
export const useSetStems = (cohortId: string) =>
  useWrite((s: Unsent<SetStems>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/groups`, { ...s, id }));
export const useLookAtJoint = () =>
  useWrite((l: Unsent<LookAtJoint>, id) => call<PlantGroups>('POST', '/groups/look', { ...l, id }));
