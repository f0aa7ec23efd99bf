import type { NewVisit, Release, SurvivalScores, VisitOutcome } from '@gonimos/contract/visits';
import type { Outcome } from '@gonimos/contract/records';
import { useQuery } from '@tanstack/react-query';
import { call, get } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useVisit = () => useUpheaval((v: NewVisit) => call<VisitOutcome>('POST', '/visits', v));
export const useRelease = () => useUpheaval((r: Release) => call<Outcome>('POST', '/releases', r));
export const useScores = () =>
  useQuery({ queryKey: ['survival'], queryFn: () => get<SurvivalScores>('/survival') });
