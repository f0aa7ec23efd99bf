import type { FastifyInstance } from 'fastify';
import { object, string } from 'yup';
import { changePassword, chooseUnits, endSession } from '@gonimos/contract/people';
import { audit } from '../audit/store.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { mayDo, route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { hashPassword, passwordFits, refuseCommon } from './password.ts';
import { hashOf, IDLE } from './session-store.ts';
import { endSessionsOf, findByName, keepUnits, readSessions } from './store.ts';

/** What a person has of their own: password, units, and the places they are signed in. */
export function ownPersonRoutes(app: FastifyInstance): void {
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
