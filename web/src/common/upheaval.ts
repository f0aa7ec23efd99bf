import { useMutation, useQueryClient } from '@tanstack/react-query';

/** A write after which nothing on screen can be trusted but who is signed in: everything is read again. */
export function useUpheaval<T, R>(send: (input: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: () => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' }),
  });
}
