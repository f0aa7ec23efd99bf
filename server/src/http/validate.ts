import { ValidationError, type AnySchema } from 'yup';

const KINDS: Record<string, string> = { number: 'a number', string: 'text', boolean: 'true or false' };

/** Finds what validation would quietly drop, or turn into another kind, such as "12" into 12. */
function* turned(sent: unknown, read: unknown, path: string): Generator<ValidationError> {
  if (sent === null || read === undefined || read === null) return;
  if (typeof sent !== 'object') {
    if (typeof sent !== typeof read)
      yield new ValidationError(`is not ${KINDS[typeof read] ?? 'as expected'}`, sent, path);
    return;
  }
  for (const [key, value] of Object.entries(sent)) {
    const at = Array.isArray(sent) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
    if (!Object.hasOwn(read, key)) yield new ValidationError('is no field of this request', value, at);
    else yield* turned(value, (read as Record<string, unknown>)[key], at);
  }
}

/** Deeper than any request of ours. */
const DEEPEST = 12;

/** Refuses what would upset whoever reads it: names every object has of itself, and depths without end. */
function refuseOdd(data: unknown, path: string, depth = 0): void {
  if (typeof data !== 'object' || data === null) return;
  if (depth > DEEPEST) throw new ValidationError('is too deep', undefined, path.slice(0, 80));
  for (const [key, value] of Object.entries(data)) {
    const at = Array.isArray(data) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
    if (key in Object.prototype) throw new ValidationError('is no field of this request', undefined, at);
    refuseOdd(value, at, depth + 1);
  }
}

/** Checks a request's body against its schema: defaults are filled in, nothing is turned into something else. */
export function readBody(schema: AnySchema, data: unknown): unknown {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    throw new ValidationError('is not a JSON object', data, 'body');
  refuseOdd(data, '');
  const value: unknown = schema.validateSync(data, { abortEarly: false });
  const wrong = [...turned(data, value, '')];
  if (wrong.length > 0) throw new ValidationError(wrong);
  return value;
}

/** Checks what stands in an address; it is all text there, so numbers are read from it. */
export function readAddress(schema: AnySchema, data: unknown): unknown {
  refuseOdd(data, '');
  return schema.validateSync(data, { abortEarly: false });
}
