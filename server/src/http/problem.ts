import type { FastifyInstance, FastifyReply } from 'fastify';
import { ValidationError } from 'yup';
import type { Problem } from '@gonimos/contract/problem';
import { LedgerError } from '@gonimos/core/ledger';

/** An answer that is no success: thrown anywhere, turned into problem details once, here. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly more: Pick<Problem, 'errors' | 'current'> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string) => new Refusal(404, 'Not found', `There is no such ${what}.`);
export const wrongField = (field: string, reason: string) =>
  new Refusal(422, 'Cannot be done', `${field} ${reason}`, { errors: [{ field, reason }] });
export const conflict = (detail: string, current?: unknown) =>
  new Refusal(409, 'Conflict', detail, current === undefined ? {} : { current });

interface PgError extends Error {
  code: string;
  constraint?: string;
  detail?: string;
}
const isPg = (e: unknown): e is PgError =>
  e instanceof Error && 'code' in e && typeof e.code === 'string' && /^[0-9A-Z]{5}$/.test(e.code);

const UNIQUE_WORDS: Record<string, [field: string, reason: string]> = {
  cohort_code_key: ['code', 'is taken by another cohort'],
  plant_tag_key: ['tag', 'is taken by another plant'],
  cohort_tag_key: ['tag', 'is taken by another plant'],
  seed_lot_name_key: ['name', 'is taken by another lot'],
  tray_cohort_id_name_key: ['name', 'is taken by another tray of these plants'],
  place_name_key: ['name', 'is taken by another place'],
  person_name_key: ['name', 'is taken by another person'],
  ledger_entry_reverses_key: ['entry', 'is reversed already'],
  record_undoes_key: ['record', 'is undone already'],
};

function fromDatabase(e: PgError): Refusal | null {
  const said = e.message.replace(/^.* - (?=[a-z])/s, '');
  if (e.code === 'GN001') return conflict(said);
  if (e.code === 'GN002' || e.code === 'GN003') return wrongField('count', `cannot be: ${said}`);
  if (e.code === 'GN004') return wrongField('entry', `cannot be: ${said}`);
  if (e.code === '23505') {
    const [field, reason] = UNIQUE_WORDS[e.constraint ?? ''] ?? ['id', 'is taken'];
    return new Refusal(409, 'Conflict', `${field} ${reason}`, { errors: [{ field, reason }] });
  }
  if (e.code === '23503') return wrongField('reference', 'names something that is not there');
  if (e.code.startsWith('22') || e.code === '23514' || e.code === '23502')
    return new Refusal(400, 'Bad request', 'A value cannot be stored.');
  if (e.code === '40001' || e.code === '40P01')
    return new Refusal(503, 'Busy', 'Two writes met; send it again.');
  return null;
}

function asProblem(error: unknown): Problem {
  const problem = (status: number, title: string, detail: string, more: Partial<Problem> = {}) => ({
    ...{ type: 'about:blank', title, status, detail },
    ...more,
  });
  if (error instanceof Refusal) return problem(error.status, error.title, error.message, error.more);
  if (error instanceof ValidationError) {
    const errors = (error.inner.length > 0 ? error.inner : [error]).map((e) => ({
      field: e.path || 'body',
      reason: e.message.replace(new RegExp(`^(this|${(e.path ?? '').replace(/[[\]().]/g, '\\$&')}) `), ''),
    }));
    const detail = errors.map((e) => `${e.field} ${e.reason}`).join('; ');
    return problem(400, 'Bad request', detail, { errors });
  }
  if (error instanceof LedgerError)
    return problem(422, 'Cannot be done', error.message, {
      errors: [{ field: 'count', reason: error.message }],
    });
  if (isPg(error)) {
    const known = fromDatabase(error);
    if (known) return asProblem(known);
  }
  const e = error as { statusCode?: number; message?: string };
  if (e.statusCode && e.statusCode < 500) {
    const title = e.statusCode === 429 ? 'Too many tries' : 'Bad request';
    const reason = e.message ?? 'The request cannot be read.';
    return problem(e.statusCode, title, reason, { errors: [{ field: 'body', reason }] });
  }
  return problem(500, 'Fault', 'Something went wrong on our side; nothing was written.');
}

const send = (reply: FastifyReply, p: Problem) =>
  reply.status(p.status).type('application/problem+json').send(JSON.stringify(p));

/** Every error leaves the server as problem details. */
export function answerProblems(app: FastifyInstance): void {
  app.setErrorHandler((error, request, reply) => {
    const p = asProblem(error);
    if (p.status >= 500) request.log.error(error);
    return send(reply, p);
  });
}
