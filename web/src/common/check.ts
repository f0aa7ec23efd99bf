import { ValidationError, type AnySchema, type ObjectSchema } from 'yup';
import { Failure } from './api';

const isObjectSchema = (schema: AnySchema): schema is ObjectSchema<object> => schema.type === 'object';

/** Stands for the id that is given to a write when it is sent. */
export const ANY_ID = '00000000-0000-4000-8000-000000000000';

/** What is to be sent, as the contract has it, but for the id of the write. */
export const withoutId = <T extends { id: string }>(
  schema: ObjectSchema<T>,
  payload: object,
): Omit<T, 'id'> => {
  const { id: _, ...rest } = schema.cast({ id: ANY_ID, ...payload }) as T;
  return rest;
};

/**
 * What the contract has against a request, by field; empty when nothing. The same words as the server's. The id
 * of the write need not be there yet.
 */
export function faultsOf(schema: AnySchema, payload: object): Record<string, string> {
  try {
    const wantsId = isObjectSchema(schema) && 'id' in schema.fields;
    schema.validateSync(wantsId ? { id: ANY_ID, ...payload } : payload, { abortEarly: false });
    return {};
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    return Object.fromEntries(inner.map((e) => [e.path ?? '', e.message]));
  }
}

/** The input a fault is about: that of its path, the one a list stands for, or null where no input is. */
function inputOf(path: string, fields: object): string | null {
  const top = path.replace(/[[.].*$/, '');
  if (!(top in fields)) return null;
  return top === 'details' ? path : top;
}

/**
 * Puts faults beside the inputs they are about; those no input is about become the form's own fault, `root`,
 * and are given back.
 */
export function showFaults<Field extends string>(
  faults: Record<string, string>,
  fields: object,
  setError: (field: Field | 'root', error: { message: string }) => void,
): string[] {
  const homeless: string[] = [];
  for (const [path, message] of Object.entries(faults)) {
    const field = inputOf(path, fields);
    if (field) setError(field as Field, { message });
    else homeless.push(`${path} ${message}`);
  }
  if (homeless.length > 0) setError('root', { message: homeless.join('; ') });
  return homeless;
}

/** The server's faults of a failed write, by field. */
export const faultsIn = (error: unknown): Record<string, string> =>
  error instanceof Failure
    ? Object.fromEntries((error.problem?.errors ?? []).map((e) => [e.field, e.reason]))
    : {};
