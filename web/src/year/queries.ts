import { useQuery } from '@tanstack/react-query';
import type { KeepWeeks, LockStep, Year } from '@gonimos/contract/year';
import { call, get } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useYear = (weeks: 26 | 52) =>
  useQuery({ queryKey: ['year', weeks], queryFn: () => get<Year>(`/year?weeks=${weeks}`) });
export const useKeepWeeks = () =>
  useUpheaval((k: KeepWeeks) => call<{ kept: number }>('POST', '/year/weeks', k));
export const useClearWeeks = () => useUpheaval(() => call<{ cleared: number }>('POST', '/year/clear', {}));
export const useLockStep = () => useUpheaval((l: LockStep) => call<unknown>('PUT', '/year/step', l));
export const useLockWeek = () =>
  useUpheaval((l: { week: string; locked: boolean }) => call<string[]>('PUT', '/year/week', l));
export const useHours = () =>
  useUpheaval(({ id, ...h }: { id: string; hours: number; skilled: boolean }) =>
    call<unknown>('PUT', `/people/${id}/hours`, h),
  );
export const useAbsence = () =>
  useUpheaval(({ id, ...a }: { id: string; week: string; hours: number | null }) =>
    call<unknown>('PUT', `/people/${id}/absence`, a),
  );
