import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { Failure, newId } from './api';

/** A write after which nothing on screen can be trusted but who is signed in: everything is read again. */
export function useUpheaval<T, R>(send: (input: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: () => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' }),
  });
}

/** A body as a screen knows it: the id of the write is added on the way. */
export type Unsent<T extends { id: string }> = Omit<T, 'id'>;

/**
 * Like `useUpheaval`, for changes whose screen makes no id. The same input sent again after silence goes under
 * the same id, so that it counts once; after any answer the next is a new write.
 */
export function useEdit<T, R>(send: (input: T, id: string) => Promise<R>) {
  const unanswered = useRef<{ input: string; id: string } | null>(null);
  return useUpheaval(async (input: T) => {
    const text = JSON.stringify(input);
    if (unanswered.current?.input !== text) unanswered.current = { input: text, id: newId() };
    try {
      const answer = await send(input, unanswered.current.id);
      unanswered.current = null;
      return answer;
    } catch (error) {
      if (error instanceof Failure && error.problem) unanswered.current = null;
      throw error;
    }
  });
}
