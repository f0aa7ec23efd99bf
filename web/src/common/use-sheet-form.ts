import { useState, type FormEvent } from 'react';
import type { ObjectSchema } from 'yup';
import { faultsOf, withoutId } from './check';
import type { Unsent } from './write';

interface Write<P> {
  mutate: (payload: P, options: { onSuccess: () => void }) => void;
  faults: Record<string, string>;
  reset: () => void;
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
  /** What the server had against it was against what stood there before. */
  const change = (more: Partial<V>) => {
    if (Object.keys(write.faults).length > 0) write.reset();
    set((was) => ({ ...was, ...more }));
  };
  return {
    v,
    set: change,
    /** value and change of one input */
    field: <K extends keyof V>(name: K) => ({
      value: v[name] as string,
      onChange: (e: { target: { value: string } }) =>
        change({ [name]: e.target.value } as unknown as Partial<V>),
    }),
    /** value and change of one day */
    day: <K extends keyof V>(name: K) => ({
      value: v[name] as string,
      onChange: (iso: string) => change({ [name]: iso } as unknown as Partial<V>),
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
