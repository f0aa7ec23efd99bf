import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { EditNursery, EditPlace, NewPlace, Nursery, Place } from '@gonimos/contract/nursery';
import type { NewPerson, Person, Role } from '@gonimos/contract/people';
import { call, get } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useNursery = () => useQuery({ queryKey: ['nursery'], queryFn: () => get<Nursery>('/nursery') });
export const usePlaces = () => useQuery({ queryKey: ['places'], queryFn: () => get<Place[]>('/places') });
export const usePeople = (may: boolean) =>
  useQuery({ queryKey: ['people'], queryFn: () => get<Person[]>('/people'), enabled: may });

export const useStepCalendar = () =>
  useUpheaval((days: number) => call<Nursery>('POST', '/demo/calendar', { days }));
export const useEditNursery = () => useUpheaval((n: EditNursery) => call<Nursery>('PUT', '/nursery', n));
export const useNewPlace = () => useUpheaval((p: NewPlace) => call<Place>('POST', '/places', p));
export const useEditPlace = () =>
  useUpheaval(({ id, ...p }: EditPlace & { id: string }) => call<Place>('PUT', `/places/${id}`, p));
export const useNewPerson = () => useUpheaval((p: NewPerson) => call<Person>('POST', '/people', p));
export const useEditPerson = () =>
  useUpheaval(({ id, ...p }: { id: string; version: number; role: Role }) =>
    call<Person>('PUT', `/people/${id}`, p),
  );

/** The day it is at the nursery. */
export const useToday = (): string => useNursery().data?.today ?? '';
export const usePlaceName = (): ((id: string) => string) => {
  const places = usePlaces().data;
  return useCallback((id) => places?.find((p) => p.id === id)?.name ?? '', [places]);
};
