import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { EditNursery, EditPlace, NewPlace, Nursery, Place } from '@gonimos/contract/nursery';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useNursery = () => useQuery({ queryKey: ['nursery'], queryFn: () => get<Nursery>('/nursery') });
export const usePlaces = () => useQuery({ queryKey: ['places'], queryFn: () => get<Place[]>('/places') });
export const useStepCalendar = () =>
  useWrite((days: number, id) => call<Nursery>('POST', '/demo/calendar', { id, days }));
export const useEditNursery = () =>
  useWrite((n: Unsent<EditNursery>, id) => call<Nursery>('PUT', '/nursery', { ...n, id }));
export const useNewPlace = () =>
  useWrite((p: Unsent<NewPlace>, id) => call<Place>('POST', '/places', { ...p, id }));
export const useEditPlace = () =>
  useWrite(({ id: place, ...p }: Unsent<EditPlace> & { id: string }, id) =>
    call<Place>('PUT', `/places/${place}`, { ...p, id }),
  );

/** The day it is at the nursery. */
export const useToday = (): string => useNursery().data?.today ?? '';
export const usePlaceName = (): ((id: string) => string) => {
  const places = usePlaces().data;
  return useCallback((id) => places?.find((p) => p.id === id)?.name ?? '', [places]);
};
