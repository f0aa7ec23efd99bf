import { useQuery } from '@tanstack/react-query';
import type { LookAtJoint, PlantGroups } from '@gonimos/contract/fusing';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useGroups = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'groups'],
    queryFn: () => get<PlantGroups>(`/cohorts/${cohortId}/groups`),
  });
export const useLookAtJoint = () =>
  useWrite((l: Unsent<LookAtJoint>, id) => call<PlantGroups>('POST', '/groups/look', { ...l, id }));
