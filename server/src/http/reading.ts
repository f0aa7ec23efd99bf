import { createHash, randomUUID } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import type { AnyObjectSchema, InferType } from 'yup';
import { OWN_LIBRARY } from '@gonimos/contract/headers';
import type { Person, Role } from '@gonimos/contract/people';
import type { Db, Sql } from '../db/index.ts';
import { route } from './route.ts';

/** This process: another may run other code. */
const HERE = randomUUID();
/** A day begins on a quarter of an hour in every time zone, ms. */
const QUARTER = 15 * 60_000;

/** Everything that is read comes from one state of the database, over one connection. */
const inOneState = <T>(db: Db, read: (sql: Sql) => Promise<T>): Promise<T> =>
  db.transaction(read, { isolationLevel: 'repeatable read', readOnly: true });

/** Who asks, and how far the nursery's own library had come that this process answers by. */
interface Asking {
  person: Person;
  ownLibrary: string;
}

/**
 * Stands for all that an answer hangs on: which transactions it sees, the quarter of an hour, who asks, the code and
 * the library. Transactions of other databases of the cluster count too: they cost an answer that had not changed.
 */
async function stateTag(sql: Sql, { person, ownLibrary }: Asking): Promise<string> {
  const { rows } = await sql.raw<{ rows: { sees: string }[] }>('SELECT pg_current_snapshot()::text AS sees');
  const quarter = Math.floor(Date.now() / QUARTER);
  const all = `${HERE} ${rows[0].sees} ${quarter} ${person.id} ${ownLibrary}`;
  return `"${createHash('sha256').update(all).digest('base64url')}"`;
}

interface Definition<P extends AnyObjectSchema, Q extends AnyObjectSchema> {
  url: string;
  role: Role;
  summary: string;
  params?: P;
  query?: Q;
  /** what the answer is told by, where it hangs on less than the whole state */
  tag?: (sql: Sql, asking: Asking) => Promise<string>;
  read: (sql: Sql, input: { params: InferType<P>; query: InferType<Q> }) => unknown;
}

/**
 * Declares an answer that hangs on nothing but what the database holds, on the day and on who asks. All of it is
 * read from one state; what has not changed since it was asked for last is neither read nor sent again.
 */
export function readRoute<
  P extends AnyObjectSchema = AnyObjectSchema,
  Q extends AnyObjectSchema = AnyObjectSchema,
>(app: FastifyInstance, { read, tag = stateTag, ...declared }: Definition<P, Q>): void {
  route<undefined, P, Q>(app, {
    ...declared,
    method: 'GET',
    handle: async ({ params, query, person, request, reply }) => {
      const ownLibrary = String(reply.getHeader(OWN_LIBRARY));
      const answer = await inOneState(app.db, async (sql) => {
        const now = await tag(sql, { person, ownLibrary });
        const same = request.headers['if-none-match'] === now;
        return { tag: now, same, value: same ? null : await read(sql, { params, query }) };
      });
      void reply.header('etag', answer.tag);
      return answer.same ? reply.status(304).send() : answer.value;
    },
  });
}
