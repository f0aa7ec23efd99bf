import { ValidationError, type AnySchema } from 'yup';
import { Failure } from './api';

/** What the contract has against a request, by field; empty when nothing. The same words as the server's. */
export function faultsOf(schema: AnySchema, payload: unknown): Record<string, string> {
  try {
    schema.validateSync(payload, { abortEarly: false });
    return {};
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    return Object.fromEntries(inner.map((e) => [e.path ?? '', e.message]));
  }
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
    const field = path.replace(/[[.].*$/, '');
    if (field in fields) setError(field as Field, { message });
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
