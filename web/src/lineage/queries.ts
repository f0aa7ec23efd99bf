import { useQuery } from '@tanstack/react-query';
import type {
  FusePlants,
  IdentifyCohort,
  Lineage,
  MergeCohort,
  NewTally,
  Tally,
} from '@gonimos/contract/lineage';
import type { Outcome } from '@gonimos/contract/records';
import { call, get } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useLineage = (id: string) =>
  useQuery({ queryKey: ['cohort', id, 'lineage'], queryFn: () => get<Lineage>(`/cohorts/${id}/lineage`) });
export const useTallies = (id: string) =>
  useQuery({ queryKey: ['cohort', id, 'tallies'], queryFn: () => get<Tally[]>(`/cohorts/${id}/tallies`) });

export const useMerge = (id: string) =>
  useUpheaval((m: MergeCohort) => call<Outcome>('POST', `/cohorts/${id}/merge`, m));
export const useFuse = (id: string) =>
  useUpheaval((f: FusePlants) => call<Outcome>('POST', `/cohorts/${id}/fuse`, f));
export const useIdentify = (id: string) =>
  useUpheaval((i: IdentifyCohort) => call<{ id: string }>('POST', `/cohorts/${id}/identify`, i));
export const useTally = (id: string) =>
  useUpheaval((t: NewTally) => call<{ id: string }>('POST', `/cohorts/${id}/tallies`, t));
