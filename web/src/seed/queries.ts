import { useQuery } from '@tanstack/react-query';
import type { NewProtection, NewSeedEvent, NewSeedLot, SeedLot, Sowing } from '@gonimos/contract/seed';
import { call, get } from '../common/api';
import { useEdit, useUpheaval } from '../common/upheaval';

export const useLots = () =>
  useQuery({ queryKey: ['seed lots'], queryFn: () => get<SeedLot[]>('/seed-lots') });
export const useSowing = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'sowing'],
    queryFn: () => get<Sowing>(`/cohorts/${cohortId}/sowing`),
  });

export const useAddLot = () => useUpheaval((l: NewSeedLot) => call<{ id: string }>('POST', '/seed-lots', l));
export const useSeedEvent = (lotId: string) =>
  useUpheaval((e: NewSeedEvent) => call<{ id: string }>('POST', `/seed-lots/${lotId}/events`, e));
export const useProtect = (cohortId: string) =>
  useUpheaval((p: NewProtection) => call<{ id: string }>('POST', `/cohorts/${cohortId}/protections`, p));
export const useUncover = () =>
  useEdit(({ id: cover, version, ended }: { id: string; version: number; ended: string }, id) =>
    call<{ id: string }>('PUT', `/protections/${cover}/end`, { id, version, ended }),
  );
