import type { FastifyError, FastifyInstance, FastifyReply } from 'fastify';
import { ValidationError } from 'yup';
import { PROBLEMS, type Problem, type ProblemCode } from '@gonimos/contract/problem';
import { LedgerError } from '@gonimos/core/ledger';
import { codeOf, isAway, meet } from '../db/index.ts';

/** An answer that is no success: thrown anywhere, turned into problem details once, here. */
export class Refusal extends Error {
  constructor(
    readonly code: ProblemCode,
    detail: string,
    readonly more: Pick<Problem, 'errors' | 'current'> = {},
    /** seconds after which the same request may be sent again by itself */
    readonly retryAfter: number | null = null,
  ) {
    super(detail);
  }
}

/** The connection was lost while a write was being confirmed. */
export class NotKnown extends Error {
  constructor(cause: unknown) {
    super('lost while being confirmed', { cause });
  }
}

const rolledBack = new WeakSet<object>();
/** Marks an error after which it is known that nothing was written. */
export function notWritten(error: unknown): unknown {
  if (typeof error === 'object' && error !== null) rolledBack.add(error);
  return error;
}

export const notFound = (what: string) => new Refusal('not-found', `There is no such ${what}.`);
export const wrongField = (field: string, reason: string) =>
  new Refusal('cannot-be-done', `${field} ${reason}`, { errors: [{ field, reason }] });
export const conflict = (detail: string, current?: unknown) =>
  new Refusal('conflict', detail, current === undefined ? {} : { current });

interface PgError extends Error {
  code: string;
  constraint?: string;
  detail?: string;
}
const isPg = (e: unknown): e is PgError => codeOf(e) !== null;

/** Seconds until something that was held or away may be there again. */
const SOON = 1;
const LATER = 5;

/** What waits for others, or cannot be reached: 503, and what is known of the write. */
function fromOutside(error: unknown): Refusal | null {
  if (error instanceof NotKnown)
    return new Refusal(
      'not-known',
      'The database went away while this was being written: it is not known whether it was. Sending the same again is safe.',
      {},
      LATER,
    );
  const nothing = typeof error === 'object' && error !== null && rolledBack.has(error);
  const kept = nothing ? ' Nothing was written.' : '';
  const unavailable = (why: 'away' | 'busy', text: string, after: number) =>
    new Refusal(why, `${text}${kept}`, {}, after);
  if (isAway(error)) return unavailable('away', 'The database does not answer just now.', LATER);
  if (meet(error)) return unavailable('busy', 'Two writes met; send it again.', SOON);
  const code = codeOf(error);
  if (code === '55P03') return unavailable('busy', 'Someone else is writing there; send it again.', SOON);
  if (code === '57014') return unavailable('busy', 'That took too long and was ended.', LATER);
  return null;
}

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
    return new Refusal('conflict', `${field} ${reason}`, { errors: [{ field, reason }] });
  }
  if (e.code === '23503') return wrongField('reference', 'names something that is not there');
  if (e.code.startsWith('22') || e.code === '23514' || e.code === '23502')
    return new Refusal('bad-request', 'A value cannot be stored.');
  return null;
}

function asProblem(error: unknown, reads: boolean): Problem & { retryAfter?: number | null } {
  const problem = (code: ProblemCode, detail: string, more: Partial<Problem> = {}): Problem => ({
    type: 'about:blank',
    code,
    ...PROBLEMS[code],
    detail,
    ...more,
  });
  const outside = error instanceof Refusal ? error : fromOutside(error);
  if (outside)
    return {
      ...problem(outside.code, outside.message, outside.more),
      retryAfter: outside.retryAfter,
    };
  if (error instanceof ValidationError) {
    const errors = (error.inner.length > 0 ? error.inner : [error]).map((e) => ({
      field: e.path || 'body',
      reason: e.message.replace(new RegExp(`^(this|${(e.path ?? '').replace(/[[\]().]/g, '\\$&')}) `), ''),
    }));
    const detail = errors.map((e) => `${e.field} ${e.reason}`).join('; ');
    return problem('bad-request', detail, { errors });
  }
  if (error instanceof LedgerError)
    return problem('cannot-be-done', error.message, {
      errors: [{ field: 'count', reason: error.message }],
    });
  if (isPg(error)) {
    const known = fromDatabase(error);
    if (known) return asProblem(known, reads);
  }
  const e = error as { statusCode?: number; message?: string };
  if (e.statusCode && e.statusCode < 500) {
    const code = e.statusCode === 429 ? 'too-many-tries' : 'bad-request';
    const reason = e.message ?? 'The request cannot be read.';
    // the server's own words for it: too large, not JSON, no such method
    return problem(code, reason, { status: e.statusCode, errors: [{ field: 'body', reason }] });
  }
  const untouched = reads || (typeof error === 'object' && error !== null && rolledBack.has(error));
  const told = untouched ? 'Nothing was written.' : 'Look at what stands before sending it again.';
  return problem('fault', `Something went wrong on our side. ${told}`);
}

function send(reply: FastifyReply, { retryAfter, ...p }: ReturnType<typeof asProblem>): FastifyReply {
  if (retryAfter) void reply.header('retry-after', retryAfter);
  return reply.status(p.status).type('application/problem+json').send(JSON.stringify(p));
}

/** What the server refuses before it knows which route is meant: an address that is too long or cannot be read. */
export const answerFramework = (error: FastifyError, _request: unknown, reply: FastifyReply): void =>
  void send(reply, asProblem(error, true));

/** Every error leaves the server as problem details. */
export function answerProblems(app: FastifyInstance): void {
  app.setErrorHandler((error, request, reply) => {
    const p = asProblem(error, request.method === 'GET' || request.method === 'HEAD');
    if (p.status >= 500) request.log.error(error);
    return send(reply, p);
  });
}
