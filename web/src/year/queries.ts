import { useQuery } from '@tanstack/react-query';
import type { KeepWeeks, LockStep, NewRoutine, Year } from '@gonimos/contract/year';
import { call, get, NOT_COMPARED } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useYear = (weeks: 26 | 52) =>
  useQuery({
    queryKey: ['year', weeks],
    queryFn: () => get<Year>(`/year?weeks=${weeks}`),
    structuralSharing: NOT_COMPARED,
  });
export const useKeepWeeks = () =>
  useWrite((k: Unsent<KeepWeeks>, id) => call<{ kept: number }>('POST', '/year/weeks', { ...k, id }));
export const useClearWeeks = () =>
  useWrite((_: void, id) => call<{ cleared: number }>('POST', '/year/clear', { id }));
export const useLockStep = () =>
  useWrite((l: Unsent<LockStep>, id) => call<unknown>('PUT', '/year/step', { ...l, id }));
export const useLockWeek = () =>
  useWrite((l: { week: string; locked: boolean }, id) => call<string[]>('PUT', '/year/week', { ...l, id }));
export const useHours = () =>
  useWrite(({ id: person, ...h }: { id: string; version: number; hours: number; skilled: boolean }, id) =>
    call<unknown>('PUT', `/people/${person}/hours`, { ...h, id }),
  );
export const useAbsence = () =>
  useWrite(
    ({ id: person, ...a }: { id: string; week: string; hours: number | null; was: number | null }, id) =>
      call<unknown>('PUT', `/people/${person}/absence`, { ...a, id }),
  );
export const useNewRoutine = () =>
  useWrite((r: Unsent<NewRoutine>, id) => call<{ id: string }>('POST', '/routines', { ...r, id }));
export const useEndRoutine = () =>
  useWrite((routine: string, id) => call<unknown>('POST', `/routines/${routine}/end`, { id }));
