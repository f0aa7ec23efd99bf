import { useQuery } from '@tanstack/react-query';
import type { NewPerson, PersonRow, Role, SessionRow } from '@gonimos/contract/people';
import { call, get } from '../common/api';
import { useEdit, useUpheaval } from '../common/upheaval';

interface Whose {
  id: string;
  version: number;
}

export const usePeople = () => useQuery({ queryKey: ['people'], queryFn: () => get<PersonRow[]>('/people') });
export const useNewPerson = () => useUpheaval((p: NewPerson) => call<PersonRow>('POST', '/people', p));
export const useEditRole = () =>
  useEdit(({ id: person, ...p }: Whose & { role: Role }, id) =>
    call<PersonRow>('PUT', `/people/${person}`, { ...p, id }),
  );
export const useDisable = () =>
  useEdit(({ id: person, ...p }: Whose & { disabled: boolean }, id) =>
    call<PersonRow>('PUT', `/people/${person}/disabled`, { ...p, id }),
  );
export const useResetPassword = () =>
  useEdit(({ id: person, ...p }: Whose & { password: string }, id) =>
    call<PersonRow>('PUT', `/people/${person}/password`, { ...p, id }),
  );

export const useChangePassword = () =>
  useEdit((p: { current: string; password: string }, id) =>
    call<unknown>('PUT', '/session/password', { ...p, id }),
  );
export const useSessions = () =>
  useQuery({ queryKey: ['sessions'], queryFn: () => get<SessionRow[]>('/sessions') });
export const useEndSession = () =>
  useEdit((hash: string, id) => call<unknown>('POST', `/sessions/${hash}/end`, { id }));
