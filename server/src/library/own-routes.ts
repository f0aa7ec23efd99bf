import type { FastifyInstance } from 'fastify';
import { letGo, saveContainer, saveOperation, saveTaxon } from '@gonimos/contract/own';
import { container, containers, hasContainer } from '@gonimos/core/containers';
import {
  faultsOfContainer,
  faultsOfOperation,
  faultsOfTaxon,
  type Own,
  type OwnFault,
} from '@gonimos/core/library';
import { hasOperation, operation, OPERATIONS } from '@gonimos/core/operations';
import { hasTaxon, TAXA, taxa, taxon } from '@gonimos/core/taxa';
import { audit } from '../audit/store.ts';
import type { Trx } from '../db/index.ts';
import { Refusal, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { insertLetGo, insertOwn, readOwn, readVersions } from '../own/store.ts';
import { living, noteDue } from '../planning/due-store.ts';
import { answering, write } from '../write/write.ts';

function sound(faults: OwnFault[]): void {
  if (faults.length === 0) return;
  throw new Refusal('cannot-be-followed', faults.map((f) => `${f.field} ${f.text}`).join('; '), {
    errors: faults.map((f) => ({ field: f.field === 'ownId' ? f.field : `edit.${f.field}`, reason: f.text })),
  });
}

/** Tells the trail, and notes every course as due: they are planned once the new version is in force. */
async function changed(trx: Trx, personId: string, kind: Own['kind'], what: string): Promise<void> {
  await audit(trx, personId, kind, what);
  await noteDue(trx, await living(trx).pluck('id'), what[0].toLowerCase() + what.slice(1));
}

const nameOf = (kind: Own['kind'], id: string): string => {
  if (kind === 'operation') return hasOperation(id) ? operation(id).name : id;
  if (kind === 'container') return hasContainer(id) ? container(id).name : id;
  return hasTaxon(id) ? taxon(id).name : id;
};

/** Operations and taxa of the nursery's own: versions of what the library has, or copies beside it. */
export function ownRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/own-library',
    role: 'helper',
    summary: 'Operations and taxa of the nursery’s own in force over the library',
    handle: () => readOwn(app.db),
  });

  route(app, {
    method: 'GET',
    url: '/own-library/versions',
    role: 'helper',
    summary: 'Every version of them there was, who kept it and when',
    handle: () => readVersions(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/own-operations',
    role: 'grower',
    summary: 'Keeps the next version of an operation of one’s own; every course is planned with it',
    body: saveOperation,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'own operation', body, person }, async ({ trx }) => {
        sound(faultsOfOperation({ id: body.ownId, like: body.like, edit: body.edit }));
        const version = await insertOwn(trx, 'operation', body, person.id);
        await changed(
          trx,
          person.id,
          'operation',
          `The operation ‘${body.edit.name}’ became version ${version}`,
        );
        return answering({ id: body.ownId, version });
      }),
  });

  route(app, {
    method: 'POST',
    url: '/own-taxa',
    role: 'grower',
    summary: 'Keeps the next version of a taxon of one’s own; every course is planned with it',
    body: saveTaxon,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'own taxon', body, person }, async ({ trx }) => {
        sound(faultsOfTaxon({ id: body.ownId, like: body.like, edit: body.edit }, taxa()));
        const version = await insertOwn(trx, 'taxon', body, person.id);
        await changed(trx, person.id, 'taxon', `The taxon ‘${body.edit.name}’ became version ${version}`);
        return answering({ id: body.ownId, version });
      }),
  });

  route(app, {
    method: 'POST',
    url: '/own-containers',
    role: 'grower',
    summary: 'Keeps the next version of a container of one’s own; every course is planned with it',
    body: saveContainer,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'own container', body, person }, async ({ trx }) => {
        sound(faultsOfContainer({ id: body.ownId, edit: body.edit }, containers()));
        const version = await insertOwn(trx, 'container', body, person.id);
        await changed(
          trx,
          person.id,
          'container',
          `The container ‘${body.edit.name}’ became version ${version}`,
        );
        return answering({ id: body.ownId, version });
      }),
  });

  route(app, {
    method: 'POST',
    url: '/own-library/let-go',
    role: 'grower',
    summary: 'Goes back to what the library says of an operation or taxon',
    body: letGo,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'own let go', body, person }, async ({ trx }) => {
        const library: readonly { id: string }[] = body.kind === 'operation' ? OPERATIONS : TAXA;
        // a copy may stand in programmes and cohorts: it stays
        if (!library.some((x) => x.id === body.ownId)) throw wrongField('ownId', 'is not in the library');
        const name = nameOf(body.kind, body.ownId);
        const version = await insertLetGo(trx, body, person.id);
        await changed(trx, person.id, body.kind, `The ${body.kind} ‘${name}’ went back to the library’s`);
        return answering({ id: body.ownId, version });
      }),
  });
}
