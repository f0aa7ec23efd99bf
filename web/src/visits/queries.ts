import type { SurvivalScores } from '@gonimos/contract/survival';
import type { NewVisit, Release, VisitOutcome } from '@gonimos/contract/visits';
import type { Outcome } from '@gonimos/contract/outcome';
import { useQuery } from '@tanstack/react-query';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useVisit = (draft: string) =>
  useWrite((v: Unsent<NewVisit>, id) => call<VisitOutcome>('POST', '/visits', { ...v, id }), draft);
export const useRelease = () =>
  useWrite((r: Unsent<Release>, id) => call<Outcome>('POST', '/releases', { ...r, id }));
export const useScores = () =>
  useQuery({ queryKey: ['survival'], queryFn: () => get<SurvivalScores>('/survival') });
