import { useRef, useState, type FormEvent } from 'react';
import type { AnySchema } from 'yup';
import { Failure, newId } from './api';
import { faultsIn, faultsOf } from './check';

interface Write<P> {
  mutate: (payload: P, options: { onSuccess: () => void; onError: (e: Error) => void }) => void;
  error: Error | null;
  isPending: boolean;
}
interface Options<V, P> {
  first: V;
  schema: AnySchema;
  /** the form as the contract wants it, under the id of this write */
  payload: (v: V, id: string) => unknown;
  write: Write<P>;
  done: () => void;
}

/**
 * A small form that writes once. The id of the write is kept until the server has answered, so that sending
 * again after silence is the same request; faults stand beside inputs once sending was tried.
 */
export function useSheetForm<V extends object, P>({ first, schema, payload, write, done }: Options<V, P>) {
  const id = useRef(newId());
  const [v, set] = useState(first);
  const [tried, setTried] = useState(false);
  const now = payload(v, id.current);
  return {
    v,
    set: (more: Partial<V>) => set((was) => ({ ...was, ...more })),
    /** value and change of one input */
    field: <K extends keyof V>(name: K) => ({
      value: v[name] as string,
      onChange: (e: { target: { value: string } }) => set((was) => ({ ...was, [name]: e.target.value })),
    }),
    faults: { ...(tried ? faultsOf(schema, now) : {}), ...faultsIn(write.error) } as Record<string, string>,
    submit: (e: FormEvent) => {
      e.preventDefault();
      setTried(true);
      if (!schema.isValidSync(now)) return;
      write.mutate(schema.cast(now) as P, {
        onSuccess: done,
        onError: (error) => {
          if (error instanceof Failure && error.problem) id.current = newId();
        },
      });
    },
  };
}

/** A number as it was typed; undefined when nothing was. */
export const typed = (t: string): number | undefined =>
  t.trim() === '' ? undefined : Number(t.replace(',', '.'));
