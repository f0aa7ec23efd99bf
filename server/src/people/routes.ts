import { randomUUID } from 'node:crypto';
import '@fastify/csrf-protection';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import {
  editPerson,
  enterDemo,
  firstOwner,
  newPerson,
  signIn,
  type Person,
  type Session,
} from '@gonimos/contract/people';
import { once } from '../http/once.ts';
import { conflict, Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { findNursery, insertNursery, insertPlace } from '../nursery/store.ts';
import { hashPassword, passwordFits } from './password.ts';
import { findByName, findByRole, insertPerson, listPeople, updateRole } from './store.ts';

export function peopleRoutes(app: FastifyInstance): void {
  const session = async (request: FastifyRequest, reply: FastifyReply): Promise<Session> => {
    const nursery = await findNursery(app.db);
    return {
      person: request.session.person ?? null,
      csrf: reply.generateCsrf(),
      demo: app.demo && nursery !== undefined && nursery.demoToday !== null,
      empty: nursery === undefined,
    };
  };
  const enter = async (
    request: FastifyRequest,
    reply: FastifyReply,
    { id: own, name, role, version }: Person,
  ) => {
    await request.session.regenerate();
    request.session.person = { id: own, name, role, version };
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
      const person = await findByName(app.db, body.name);
      if (!(await passwordFits(person?.password_hash, body.password)))
        throw new Refusal(401, 'Not signed in', 'Name and password do not fit.');
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
      if (!app.demo || !nursery?.demoToday)
        throw new Refusal(403, 'Not the demo', 'Sign in with a password.');
      const person = await findByRole(app.db, body.role);
      if (!person) throw new Refusal(404, 'Not found', 'No one has this role here.');
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
      const passwordHash = await hashPassword(body.password);
      const person: Person = { id: randomUUID(), name: body.name.trim(), role: 'owner', version: 1 };
      await app.db.transaction(async (trx) => {
        await trx.raw('LOCK TABLE nursery IN EXCLUSIVE MODE');
        if (await findNursery(trx)) throw conflict('This nursery has an owner already.');
        await insertNursery(trx, { ...body, name: body.nursery, id: randomUUID() });
        await insertPlace(trx, {
          ...{ id: randomUUID(), name: 'Outdoors', kind: 'outdoors', night: 0, day: 0, heatedTo: null },
          light: 'full',
        });
        await insertPerson(trx, { ...person, passwordHash });
      });
      return enter(request, reply, person);
    },
  });

  route(app, {
    method: 'GET',
    url: '/people',
    role: 'owner',
    summary: 'Everyone who may sign in',
    handle: () => listPeople(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/people',
    role: 'owner',
    summary: 'Adds a person',
    body: newPerson,
    handle: async ({ body }) => {
      const { password, ...rest } = body;
      const passwordHash = await hashPassword(password);
      return once(app.db, body.id, 'person', rest, async (trx) => {
        await insertPerson(trx, { ...rest, name: rest.name.trim(), passwordHash });
        return { id: rest.id, name: rest.name.trim(), role: rest.role, version: 1 };
      });
    },
  });

  route(app, {
    method: 'PUT',
    url: '/people/:id',
    role: 'owner',
    summary: 'Changes a role',
    params: object({ id: id() }),
    body: editPerson,
    handle: ({ params, body }) =>
      once(app.db, body.id, `person ${params.id}`, body, (trx) =>
        updateRole(trx, params.id, body.version, body.role),
      ),
  });
}
