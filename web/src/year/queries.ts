import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { transfer, wrap, type Remote } from 'comlink';
import type { KeepWeeks, LockStep, NewRoutine } from '@gonimos/contract/year';
import { call, getHeld, NOT_COMPARED } from '../common/api';
import { useWrite, type Unsent } from '../common/write';
import { yearPath } from './path';
import type { YearWorker } from './worker';
import type { Shown, YearHead } from './view';

let remote: Remote<YearWorker> | null = null;

/** The worker that holds the year, made when it is first wanted: leaving the screen does not lose what it has read. */
export function yearWorker(): Remote<YearWorker> {
  remote ??= wrap<YearWorker>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

export const useYear = (weeks: 26 | 52) =>
  useQuery({
    queryKey: ['year', weeks],
    queryFn: async (): Promise<YearHead> => {
      // the worker gets ready while the year is on its way
      const worker = yearWorker();
      return getHeld(yearPath(weeks), async (response) => {
        const sent = await response.arrayBuffer();
        return worker.take(weeks, transfer(sent, [sent]));
      });
    },
    structuralSharing: NOT_COMPARED,
  });

/** What is shown of a plan of the year: `turn` tells one levelled answer from the next. */
export const useYearView = (
  year: YearHead | undefined,
  asked: { weeks: number; how: Shown; turn: number; week: number; most: number },
) =>
  useQuery({
    queryKey: ['year view', year?.stamp, asked],
    queryFn: () => yearWorker().view(asked.weeks, asked.how, asked.week, asked.most),
    enabled: year !== undefined,
    placeholderData: keepPreviousData,
    gcTime: 0,
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
