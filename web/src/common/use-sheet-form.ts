import { useState, type FormEvent } from 'react';
import type { ObjectSchema } from 'yup';
import { faultsOf, withoutId } from './check';
import type { Unsent } from './write';

interface Write<P> {
  mutate: (payload: P, options: { onSuccess: () => void }) => void;
  faults: Record<string, string>;
}
interface Options<V, P extends { id: string }> {
  first: V;
  schema: ObjectSchema<P>;
  /** the form as the contract wants it, but for the id of the write */
  payload: (v: V) => object;
  write: Write<Unsent<P>>;
  done: () => void;
}

/** A small form that writes once; faults stand beside inputs once sending was tried. */
export function useSheetForm<V extends object, P extends { id: string }>({
  first,
  schema,
  payload,
  write,
  done,
}: Options<V, P>) {
  const [v, set] = useState(first);
  const [tried, setTried] = useState(false);
  const now = payload(v);
  return {
    v,
    set: (more: Partial<V>) => set((was) => ({ ...was, ...more })),
    /** value and change of one input */
    field: <K extends keyof V>(name: K) => ({
      value: v[name] as string,
      onChange: (e: { target: { value: string } }) => set((was) => ({ ...was, [name]: e.target.value })),
    }),
    /** value and change of one day */
    day: <K extends keyof V>(name: K) => ({
      value: v[name] as string,
      onChange: (iso: string) => set((was) => ({ ...was, [name]: iso })),
    }),
    faults: { ...(tried ? faultsOf(schema, now) : {}), ...write.faults },
    submit: (e: FormEvent) => {
      e.preventDefault();
      setTried(true);
      if (Object.keys(faultsOf(schema, now)).length > 0) return;
      write.mutate(withoutId(schema, now), { onSuccess: done });
    },
  };
}
