import { useQuery } from '@tanstack/react-query';
import type {
  FusePlants,
  IdentifyCohort,
  Lineage,
  MergeCohort,
  NewTally,
  Tally,
} from '@gonimos/contract/lineage';
import type { Outcome } from '@gonimos/contract/outcome';
import { call, get, getHeld } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useLineage = (id: string) =>
  useQuery({
    queryKey: ['cohort', id, 'lineage'],
    queryFn: () => getHeld<Lineage>(`/cohorts/${id}/lineage`),
  });
export const useTallies = (id: string) =>
  useQuery({ queryKey: ['cohort', id, 'tallies'], queryFn: () => get<Tally[]>(`/cohorts/${id}/tallies`) });

export const useMerge = (cohortId: string) =>
  useWrite((m: Unsent<MergeCohort>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/merge`, { ...m, id }));
export const useFuse = (cohortId: string) =>
  useWrite((f: Unsent<FusePlants>, id) => call<Outcome>('POST', `/cohorts/${cohortId}/fuse`, { ...f, id }));
export const useIdentify = (cohortId: string) =>
  useWrite((i: Unsent<IdentifyCohort>, id) =>
    call<{ id: string }>('POST', `/cohorts/${cohortId}/identify`, { ...i, id }),
  );
export const useTally = (cohortId: string) =>
  useWrite((t: Unsent<NewTally>, id) =>
    call<{ id: string }>('POST', `/cohorts/${cohortId}/tallies`, { ...t, id }),
  );
