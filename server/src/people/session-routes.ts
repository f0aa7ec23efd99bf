import { randomUUID } from 'node:crypto';
import '@fastify/csrf-protection';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { object, string } from 'yup';
import {
  changePassword,
  chooseUnits,
  endSession,
  enterDemo,
  firstOwner,
  signIn,
  type Person,
  type Session,
} from '@gonimos/contract/people';
import { audit } from '../audit/store.ts';
import { inTransaction } from '../write/transaction.ts';
import { conflict, notFound, Refusal, wrongField } from '../http/problem.ts';
import { mayDo, route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { findNursery, insertNursery, insertPlace } from '../nursery/store.ts';
import { hashPassword, passwordFits, refuseCommon } from './password.ts';
import { hashOf, IDLE } from './session-store.ts';
import {
  endSessionsOf,
  findByName,
  findByRole,
  insertPerson,
  keepUnits,
  readSessions,
  unitsOf,
} from './store.ts';
import { forgetFailed, noteFailed, refuseTooMany } from './tries.ts';

/** Letters kept of what a browser says it is. */
const AGENT = 200;

/** Signing in and out, the demo, the first owner, one's own password and sessions. */
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
        });
        await insertPerson(trx, { ...person, passwordHash });
        await audit(trx, person.id, 'people', `${person.name} made the nursery and is its owner`);
      });
      return enter(request, reply, person);
    },
  });

  route(app, {
    method: 'PUT',
    url: '/session/password',
    role: 'helper',
    summary: 'Changes one’s own password; one’s other sessions end',
    body: changePassword,
    limit: 10,
    handle: async ({ body, person, request }) => {
      const own = await findByName(app.db, person.name);
      if (!(await passwordFits(own?.passwordHash, body.current)))
        throw wrongField('current', 'is not the password you have');
      refuseCommon(body.password);
      const passwordHash = await hashPassword(body.password);
      // the receipt keeps a hash of what was sent, and no hash of a password
      return write(
        app,
        { id: body.id, what: 'own password', body: { id: body.id }, person },
        async ({ trx }) => {
          await trx('person').where({ id: person.id }).update({ passwordHash: passwordHash });
          await endSessionsOf(trx, person.id, hashOf(request.session.sessionId));
          await audit(trx, person.id, 'people', `${person.name} changed their own password`);
          return answering({ ok: true });
        },
      );
    },
  });

  route(app, {
    method: 'PUT',
    url: '/session/units',
    role: 'helper',
    summary: 'Chooses the units one reads and types measures in; what is kept stays metric',
    body: chooseUnits,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'own units', body, person }, async ({ trx }) => {
        await keepUnits(trx, person.id, body.units);
        return answering({ units: body.units });
      }),
  });

  route(app, {
    method: 'GET',
    url: '/sessions',
    role: 'helper',
    summary: 'Where one is signed in; an owner sees everyone’s',
    handle: ({ person, request }) => {
      const whose = mayDo(person, 'owner') ? null : person.id;
      return readSessions(app.db, whose, hashOf(request.session.sessionId), IDLE);
    },
  });

  route(app, {
    method: 'POST',
    url: '/sessions/:hash/end',
    role: 'helper',
    summary: 'Ends a session: one’s own, or anyone’s for an owner',
    params: object({
      hash: string()
        .required()
        .matches(/^[0-9a-f]{64}$/, 'is no session'),
    }),
    body: endSession,
    handle: ({ params, body, person }) =>
      write(app, { id: body.id, what: `end session ${params.hash}`, body, person }, async ({ trx }) => {
        const found = await trx('session').where({ hash: params.hash }).first('personId');
        if (!found || (found.personId !== person.id && !mayDo(person, 'owner'))) throw notFound('session');
        await trx('session').where({ hash: params.hash }).delete();
        return answering({ ok: true });
      }),
  });
}
