import { randomUUID } from 'node:crypto';
import '@fastify/csrf-protection';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { enterDemo, firstOwner, signIn, type Person, type Session } from '@gonimos/contract/people';
import { audit } from '../audit/store.ts';
import { inTransaction } from '../write/transaction.ts';
import { conflict, Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { findNursery, insertNursery, insertPlace } from '../nursery/store.ts';
import { hashPassword, passwordFits, refuseCommon } from './password.ts';
import { findByName, findByRole, insertPerson, unitsOf } from './store.ts';
import { forgetFailed, noteFailed, refuseTooMany } from './tries.ts';

/** Letters kept of what a browser says it is. */
const AGENT = 200;

/** Signing in and out, the demo, and the first owner. */
export function sessionRoutes(app: FastifyInstance): void {
  const session = async (request: FastifyRequest, reply: FastifyReply): Promise<Session> => {
    const nursery = await findNursery(app.db);
    const person = request.session.person ?? null;
    return {
      person,
      csrf: reply.generateCsrf({ userInfo: person?.id ?? 'nobody' }),
      units: person ? await unitsOf(app.db, person.id) : 'metric',
      demo: app.demo && nursery !== undefined && nursery.demoToday !== null,
      empty: nursery === undefined,
    };
  };
  const enter = async (
    request: FastifyRequest,
    reply: FastifyReply,
    { id, name, role, version }: Person,
  ): Promise<Session> => {
    await request.session.regenerate();
    request.session.person = { id, name, role, version };
    request.session.agent = (request.headers['user-agent'] ?? '').slice(0, AGENT);
    return session(request, reply);
  };

  route(app, {
    method: 'GET',
    url: '/session',
    role: 'anyone',
    summary: 'Who is signed in, and the token that goes with every write',
    handle: ({ request, reply }) => session(request, reply),
  });

  route(app, {
    method: 'POST',
    url: '/session',
    role: 'anyone',
    summary: 'Signs in with name and password',
    body: signIn,
    limit: 10,
    handle: async ({ body, request, reply }) => {
      await refuseTooMany(app.db, body.name);
      const person = await findByName(app.db, body.name);
      if (!(await passwordFits(person?.passwordHash, body.password))) {
        await noteFailed(app.db, body.name);
        throw new Refusal('not-signed-in', 'Name and password do not fit.');
      }
      await forgetFailed(app.db, body.name);
      return enter(request, reply, person!);
    },
  });

  route(app, {
    method: 'POST',
    url: '/session/demo',
    role: 'anyone',
    summary: 'Enters the demo nursery in a role, without a password',
    body: enterDemo,
    limit: 120,
    handle: async ({ body, request, reply }) => {
      const nursery = await findNursery(app.db);
      if (!app.demo || !nursery?.demoToday) throw new Refusal('no-way-in', 'Sign in with a password.');
      const person = await findByRole(app.db, body.role);
      if (!person) throw new Refusal('not-found', 'No one has this role here.');
      return enter(request, reply, person);
    },
  });

  route(app, {
    method: 'POST',
    url: '/session/end',
    role: 'anyone',
    summary: 'Signs out',
    handle: async ({ request, reply }) => {
      await request.session.destroy();
      return reply.status(204).send();
    },
  });

  route(app, {
    method: 'POST',
    url: '/owner',
    role: 'anyone',
    summary: 'First visit only: makes the nursery and its owner',
    body: firstOwner,
    limit: 10,
    handle: async ({ body, request, reply }) => {
      refuseCommon(body.password);
      const passwordHash = await hashPassword(body.password);
      const person: Person = { id: randomUUID(), name: body.name.trim(), role: 'owner', version: 1 };
      await inTransaction(app.db, async (trx) => {
        await trx.raw('LOCK TABLE nursery IN EXCLUSIVE MODE');
        if (await findNursery(trx)) throw conflict('This nursery has an owner already.');
        await insertNursery(trx, { ...body, name: body.nursery, id: randomUUID() });
        await insertPlace(trx, {
          id: randomUUID(),
          name: 'Outdoors',
          kind: 'outdoors',
          night: 0,
          day: 0,
          heatedTo: null,
          light: 'full',
          length: null,
          width: null,
        });
        await insertPerson(trx, { ...person, passwordHash });
        await audit(trx, person.id, 'people', `${person.name} made the nursery and is its owner`);
      });
      return enter(request, reply, person);
    },
  });
}
