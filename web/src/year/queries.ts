import { useQuery } from '@tanstack/react-query';
import type { KeepWeeks, LockStep, Year } from '@gonimos/contract/year';
import { call, get } from '../common/api';
import { useEdit, useUpheaval, type Unsent } from '../common/upheaval';

export const useYear = (weeks: 26 | 52) =>
  useQuery({ queryKey: ['year', weeks], queryFn: () => get<Year>(`/year?weeks=${weeks}`) });
export const useKeepWeeks = () =>
  useUpheaval((k: KeepWeeks) => call<{ kept: number }>('POST', '/year/weeks', k));
export const useClearWeeks = () =>
  useEdit((_: void, id) => call<{ cleared: number }>('POST', '/year/clear', { id }));
export const useLockStep = () =>
  useEdit((l: Unsent<LockStep>, id) => call<unknown>('PUT', '/year/step', { ...l, id }));
export const useLockWeek = () =>
  useEdit((l: { week: string; locked: boolean }, id) => call<string[]>('PUT', '/year/week', { ...l, id }));
export const useHours = () =>
  useEdit(({ id: person, ...h }: { id: string; hours: number; skilled: boolean }, id) =>
    call<unknown>('PUT', `/people/${person}/hours`, { ...h, id }),
  );
export const useAbsence = () =>
  useEdit(({ id: person, ...a }: { id: string; week: string; hours: number | null }, id) =>
    call<unknown>('PUT', `/people/${person}/absence`, { ...a, id }),
  );
