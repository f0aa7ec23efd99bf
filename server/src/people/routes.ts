import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { disablePerson, editPerson, newPerson, resetPassword } from '@gonimos/contract/people';
import { audit } from '../audit/store.ts';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { hashPassword, refuseCommon } from './password.ts';
import { insertPerson, listPeople, updateDisabled, updatePassword, updateRole } from './store.ts';

const params = object({ id: id() });

/** Who may sign in, and as what. */
export function peopleRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/people',
    role: 'owner',
    summary: 'Everyone who may sign in, or might once',
    handle: () => listPeople(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/people',
    role: 'owner',
    summary: 'Adds a person',
    body: newPerson,
    handle: async ({ body, person }) => {
      const { password, ...rest } = body;
      refuseCommon(password);
      const passwordHash = await hashPassword(password);
      return write(app, { id: body.id, what: 'person', body: rest, person }, async ({ trx }) => {
        const name = rest.name.trim();
        await insertPerson(trx, { ...rest, name, passwordHash });
        await audit(trx, person.id, 'people', `${name} was added as ${rest.role}`);
        return answering({ id: rest.id, name, role: rest.role, version: 1, disabled: false });
      });
    },
  });

  route(app, {
    method: 'PUT',
    url: '/people/:id',
    role: 'owner',
    summary: 'Changes a role',
    params,
    body: editPerson,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `person ${p.id}`, body, person }, async ({ trx }) => {
        const changed = await updateRole(trx, p.id, body.version, body.role);
        await audit(trx, person.id, 'people', `${changed.name} became ${body.role}`);
        return answering(changed);
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/people/:id/disabled',
    role: 'owner',
    summary: 'Keeps a person out, or lets them in again; what they recorded stays theirs',
    params,
    body: disablePerson,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `disabled ${p.id}`, body, person }, async ({ trx }) => {
        const changed = await updateDisabled(trx, p.id, body.version, body.disabled);
        const what = body.disabled ? 'may no longer sign in' : 'may sign in again';
        await audit(trx, person.id, 'people', `${changed.name} ${what}`);
        return answering(changed);
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/people/:id/password',
    role: 'owner',
    summary: 'Gives a person a new password; their sessions end',
    params,
    body: resetPassword,
    handle: async ({ params: p, body, person }) => {
      refuseCommon(body.password);
      const passwordHash = await hashPassword(body.password);
      const { password: _, ...rest } = body;
      return write(app, { id: body.id, what: `password ${p.id}`, body: rest, person }, async ({ trx }) => {
        const changed = await updatePassword(trx, p.id, body.version, passwordHash);
        await audit(trx, person.id, 'people', `${changed.name} was given a new password`);
        return answering(changed);
      });
    },
  });
}
