import { yupResolver } from '@hookform/resolvers/yup';
import {
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type Resolver,
} from 'react-hook-form';
import type { AnyObjectSchema } from 'yup';
import { fieldWords } from './api';
import { ANY_ID, faultsIn, showFaults } from './check';

const hasMessage = (fault: unknown): boolean =>
  typeof fault === 'object' && fault !== null && 'message' in fault && typeof fault.message === 'string';
/** Inputs kept together under one name: what is wrong stands at those inside. */
const isGroup = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The first message in what is wrong with a field and all that is in it. */
function messageIn(fault: unknown): string | null {
  if (typeof fault !== 'object' || fault === null) return null;
  if ('message' in fault && typeof fault.message === 'string') return fault.message;
  for (const part of Object.values(fault)) {
    const message = messageIn(part);
    if (message) return message;
  }
  return null;
}

/**
 * Checks a form by the contract: what was typed is put as the contract has it, and what is wrong stands at the input
 * it is about. What no input is about is the form's own fault, `root`.
 */
export function byContract<V extends FieldValues>(
  schema: AnyObjectSchema,
  payload: (typed: V) => object,
): Resolver<V> {
  const check = yupResolver(schema, { abortEarly: false });
  return async (typed, context, options) => {
    const asked = 'id' in schema.fields ? { id: ANY_ID, ...payload(typed) } : payload(typed);
    const checked = (await check(asked, context, options as never)) as { errors: Record<string, unknown> };
    const found: Record<string, unknown> = {};
    const homeless: string[] = [];
    const place = (field: string, fault: unknown): void => {
      const message = messageIn(fault) ?? 'is wrong';
      const inner =
        field in typed || hasMessage(fault) ? [] : Object.entries(fault as Record<string, unknown>);
      if (field in typed) found[field] = isGroup(typed[field]) ? fault : { type: 'contract', message };
      // what the contract keeps together may be inputs of their own in the form
      else if (inner.some(([name]) => name in typed)) for (const [name, f] of inner) place(name, f);
      else homeless.push(`${fieldWords(field)} ${message}`);
    };
    for (const [field, fault] of Object.entries(checked.errors)) place(field, fault);
    if (homeless.length > 0) found.root = { type: 'contract', message: homeless.join('; ') };
    return Object.keys(found).length > 0
      ? { values: {}, errors: found as FieldErrors<V> }
      : { values: typed, errors: {} };
  };
}

interface Write<P, R> {
  mutate: (
    payload: P,
    options: { onSuccess?: (answer: R) => void; onError?: (error: Error) => void },
  ) => void;
}

interface Options<V, P> {
  first: V;
  schema: AnyObjectSchema;
  /** what was typed as the contract wants it, but for the id of the write */
  payload: (typed: V) => P;
}

/** A form of the contract: checked by it before it is sent, and told at its inputs what the server has against it. */
export function useContractForm<V extends FieldValues, P extends object>({
  first,
  schema,
  payload,
}: Options<V, P>) {
  const form = useForm<V>({
    defaultValues: first as DefaultValues<V>,
    resolver: byContract(schema, payload),
  });
  const send = <Q, R>(
    write: Write<Q, R>,
    done: (answer: R, typed: V) => void = () => undefined,
    failed: (error: Error) => void = () => undefined,
  ) =>
    form.handleSubmit((typed) =>
      write.mutate(payload(typed) as unknown as Q, {
        onSuccess: (answer) => done(answer, typed),
        onError: (error) => {
          failed(error);
          const faults = Object.entries(faultsIn(error)).map(([path, reason]) => {
            const inner = path.split('.').at(-1)!;
            return { path: !(path.replace(/[[.].*$/, '') in typed) && inner in typed ? inner : path, reason };
          });
          showFaults<Path<V>>(
            Object.fromEntries(faults.map((f) => [f.path, f.reason])),
            typed,
            form.setError,
          );
        },
      }),
    );
  return { form, errors: form.formState.errors, send };
}
