import { useQuery } from '@tanstack/react-query';
import type { NewPerson, PersonRow, Role, SessionRow } from '@gonimos/contract/people';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

interface Whose {
  id: string;
  version: number;
}

export const usePeople = () => useQuery({ queryKey: ['people'], queryFn: () => get<PersonRow[]>('/people') });
export const useNewPerson = () =>
  useWrite((p: Unsent<NewPerson>, id) => call<PersonRow>('POST', '/people', { ...p, id }));
export const useEditRole = () =>
  useWrite(({ id: person, ...p }: Whose & { role: Role }, id) =>
    call<PersonRow>('PUT', `/people/${person}`, { ...p, id }),
  );
export const useDisable = () =>
  useWrite(({ id: person, ...p }: Whose & { disabled: boolean }, id) =>
    call<PersonRow>('PUT', `/people/${person}/disabled`, { ...p, id }),
  );
export const useResetPassword = () =>
  useWrite(({ id: person, ...p }: Whose & { password: string }, id) =>
    call<PersonRow>('PUT', `/people/${person}/password`, { ...p, id }),
  );

export const useChangePassword = () =>
  useWrite((p: { current: string; password: string }, id) =>
    call<unknown>('PUT', '/session/password', { ...p, id }),
  );
export const useSessions = () =>
  useQuery({ queryKey: ['sessions'], queryFn: () => get<SessionRow[]>('/sessions') });
export const useEndSession = () =>
  useWrite((hash: string, id) => call<unknown>('POST', `/sessions/${hash}/end`, { id }));
