import { useQuery } from '@tanstack/react-query';
import type { NewProtection, NewSeedEvent, NewSeedLot, SeedLot, Sowing } from '@gonimos/contract/seed';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useLots = () =>
  useQuery({ queryKey: ['seed lots'], queryFn: () => get<SeedLot[]>('/seed-lots') });
export const useSowing = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'sowing'],
    queryFn: () => get<Sowing>(`/cohorts/${cohortId}/sowing`),
  });

export const useAddLot = () =>
  useWrite((l: Unsent<NewSeedLot>, id) => call<{ id: string }>('POST', '/seed-lots', { ...l, id }));
export const useSeedEvent = (lotId: string) =>
  useWrite((e: Unsent<NewSeedEvent>, id) =>
    call<{ id: string }>('POST', `/seed-lots/${lotId}/events`, { ...e, id }),
  );
export const useProtect = (cohortId: string) =>
  useWrite((p: Unsent<NewProtection>, id) =>
    call<{ id: string }>('POST', `/cohorts/${cohortId}/protections`, { ...p, id }),
  );
export const useUncover = () =>
  useWrite(({ id: cover, version, ended }: { id: string; version: number; ended: string }, id) =>
    call<{ id: string }>('PUT', `/protections/${cover}/end`, { id, version, ended }),
  );
