import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId } from 'react';
import { Failure, newId } from './api';
import { faultsIn } from './check';
import { dropDraft } from './draft';
import { outbox } from './outbox';
import { readAgain } from './read-again';

/** A body as a screen knows it: the id of the write is added on the way. */
export type Unsent<T extends { id: string }> = Omit<T, 'id'>;

const kept = outbox(newId, window.sessionStorage);
const passing = outbox(newId, null);

/** Sends under an id that is the same until an answer came; for writes made of several. */
export async function sendOnce<T, R>(
  key: string,
  input: T,
  send: (input: T, id: string) => Promise<R>,
  box = passing,
): Promise<R> {
  try {
    const answer = await send(input, box.idFor(key, input));
    box.answered(key);
    return answer;
  } catch (error) {
    // silence may mean that it was written: only an answer ends it
    if (error instanceof Failure && error.problem) box.answered(key);
    throw error;
  }
}

/**
 * The one way in which a screen writes. It owns the id: the same input sent again after silence goes under the
 * same one, so that it counts once, also after a reload where the form has a draft; after any answer the next is
 * a new write. `faults`: what the server has against it, by field.
 */
export function useWrite<T, R>(send: (input: T, id: string) => Promise<R>, draft?: string) {
  const client = useQueryClient();
  const own = useId();
  const key = draft ?? own;
  const box = draft ? kept : passing;
  const mutation = useMutation({
    mutationFn: (input: T) => sendOnce(key, input, send, box),
    onSuccess: () => {
      if (draft) dropDraft(draft);
      return readAgain(client);
    },
  });
  return { ...mutation, faults: faultsIn(mutation.error) };
}
