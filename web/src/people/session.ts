import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ROLES, type FirstOwner, type Role, type Session, type SignIn } from '@gonimos/contract/people';
import type { UnitSystem } from '@gonimos/core/units';
import { call, get, keepToken } from '../common/api';
import { keepUnits } from '../common/units';
import { useWrite } from '../common/write';

const KEY = ['session'];

/** Puts in force what goes with whoever is signed in: the token of writes, and their units. */
function known(session: Session): Session {
  keepUnits(session.units);
  return keepToken(session);
}

export const useSession = () =>
  useQuery({ queryKey: KEY, queryFn: () => get<Session>('/session').then(known), staleTime: Infinity });

/** The person's role; the shell shows nothing before it is known. */
export function useMay(least: Role): boolean {
  const role = useSession().data?.person?.role;
  return role !== undefined && ROLES.indexOf(role) >= ROLES.indexOf(least);
}

function useEnter<T>(send: (input: T) => Promise<Session>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: (session) => {
      client.removeQueries({ predicate: (q) => q.queryKey[0] !== KEY[0] });
      client.setQueryData(KEY, known(session));
    },
  });
}
export const useSignIn = () => useEnter((input: SignIn) => call<Session>('POST', '/session', input));
export const useEnterDemo = () => useEnter((role: Role) => call<Session>('POST', '/session/demo', { role }));
export const useFirstOwner = () => useEnter((input: FirstOwner) => call<Session>('POST', '/owner', input));

export function useSignOut() {
  return useMutation({
    mutationFn: () => call<void>('POST', '/session/end', {}),
    // a new page forgets everything this one held
    onSuccess: () => window.location.assign('/'),
  });
}

/** Chooses units; every measure that is shown is written anew. */
export const useChooseUnits = () =>
  useWrite(async (units: UnitSystem, id) => {
    await call<unknown>('PUT', '/session/units', { id, units });
    window.location.reload();
  });
