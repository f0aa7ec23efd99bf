import '@fastify/session';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { AnyObjectSchema, InferType } from 'yup';
import { ROLES, type Person, type Role } from '@gonimos/contract/people';
import type { Db } from '../db/index.ts';
import { Refusal } from './problem.ts';

/** What a route declares of itself. */
export interface Declared {
  method: string;
  url: string;
  role: Role | 'anyone';
  body?: AnyObjectSchema;
  query?: AnyObjectSchema;
}

declare module 'fastify' {
  interface FastifyInstance {
    db: Db;
    /** whether this process was started as the demo */
    demo: boolean;
    /** address of the label printer; null: there is none but the simulated one of the demo */
    labelPrinter: string | null;
    /** what each route declares, for the test that walks them */
    declared: Declared[];
  }
  interface FastifyContextConfig {
    /** a simulated device answers here: no session, no token, nothing of the nursery */
    device?: boolean;
    /** least role that may call the route; every route under /api must say */
    role?: Role | 'anyone';
  }
  interface Session {
    person?: Person;
    /** what the browser says it is */
    agent?: string;
  }
}

type Body<S> = S extends AnyObjectSchema ? InferType<S> : undefined;

interface Definition<
  B extends AnyObjectSchema | undefined,
  P extends AnyObjectSchema,
  Q extends AnyObjectSchema,
> {
  method: 'GET' | 'POST' | 'PUT';
  url: string;
  role: Role | 'anyone';
  summary: string;
  body?: B;
  params?: P;
  query?: Q;
  /** most requests a minute from one address */
  limit?: number;
  handle: (input: {
    body: Body<B>;
    params: InferType<P>;
    query: InferType<Q>;
    /** who is signed in; routes for `anyone` must look for themselves */
    person: Person;
    request: FastifyRequest;
    reply: FastifyReply;
  }) => unknown;
}

/** Declares one route: least role, schemas, then validate → store or core → reply. */
export function route<
  B extends AnyObjectSchema | undefined = undefined,
  P extends AnyObjectSchema = AnyObjectSchema,
  Q extends AnyObjectSchema = AnyObjectSchema,
>(app: FastifyInstance, d: Definition<B, P, Q>): void {
  app.route({
    method: d.method,
    url: `/api${d.url}`,
    config: { role: d.role, ...(d.limit ? { rateLimit: { max: d.limit, timeWindow: 60_000 } } : {}) },
    schema: {
      summary: d.summary,
      ...(d.body ? { body: d.body } : {}),
      ...(d.params ? { params: d.params } : {}),
      ...(d.query ? { querystring: d.query } : {}),
    },
    handler: async (request, reply) => {
      const answer = await d.handle({
        body: request.body as Body<B>,
        params: request.params,
        query: request.query,
        person: request.session.person as Person,
        request,
        reply,
      });
      return reply.sent ? reply : answer;
    },
  });
}

const rank = (role: Role) => ROLES.indexOf(role);
export const mayDo = (person: Person, least: Role): boolean => rank(person.role) >= rank(least);

/** Refuses whoever has not the role a route declares, and routes that declare none. */
export function guardRoles(app: FastifyInstance): void {
  app.decorate('declared', []);
  app.addHook('onRoute', (r) => {
    if (r.url.startsWith('/api') && !r.config?.role) throw new Error(`route ${r.url} declares no role`);
    if (r.config?.role && r.method !== 'HEAD')
      app.declared.push({
        method: String(r.method),
        url: r.url,
        role: r.config.role,
        body: r.schema?.body as AnyObjectSchema | undefined,
        query: r.schema?.querystring as AnyObjectSchema | undefined,
      });
  });
  app.addHook('preValidation', (request, _reply, done) => {
    const least = request.routeOptions.config.role;
    if (!least || least === 'anyone') {
      done();
      return;
    }
    const person = request.session.person;
    if (!person) done(new Refusal('not-signed-in', 'Sign in first.'));
    else if (!mayDo(person, least)) done(new Refusal('not-for-this-role', `This needs the role ${least}.`));
    else done();
  });
}
