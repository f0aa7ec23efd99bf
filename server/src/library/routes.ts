import type { FastifyInstance } from 'fastify';
import { number, object, string } from 'yup';
import { retargetCohort as schema, saveProgramme } from '@gonimos/contract/library';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { keepProgramme, retargetCohort, tryRetarget } from './service.ts';
import { listOwn, listProgrammes, readProgramme } from './store.ts';

export function libraryRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/programmes',
    role: 'helper',
    summary: 'Programmes of the library and the nursery’s own',
    handle: () => listProgrammes(app.db),
  });

  route(app, {
    method: 'GET',
    url: '/own-programmes',
    role: 'helper',
    summary: 'The nursery’s own programmes in full, newest versions',
    handle: () => listOwn(app.db),
  });

  route(app, {
    method: 'GET',
    url: '/programmes/:id',
    role: 'helper',
    summary: 'One programme, the newest version unless one is named',
    params: object({ id: string().required().max(60) }),
    query: object({ version: number().integer().min(1).max(1e6) }),
    handle: ({ params, query }) => readProgramme(app.db, params.id, query.version),
  });

  route(app, {
    method: 'POST',
    url: '/programmes',
    role: 'grower',
    summary: 'Keeps a programme of one’s own as the next version; running courses keep theirs',
    body: saveProgramme,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'programme', body, person }, async ({ trx }) =>
        answering(await keepProgramme(trx, body, body.programme, person.id)),
      ),
  });

  route(app, {
    method: 'POST',
    url: '/calc/retarget',
    role: 'helper',
    summary: 'What carrying a cohort to another programme or version would change',
    body: schema,
    handle: async ({ body }) =>
      tryRetarget(
        app.db,
        await app.planning(app.db),
        body.cohortId,
        await readProgramme(app.db, body.programmeId),
      ),
  });

  route(app, {
    method: 'POST',
    url: '/retargets',
    role: 'grower',
    summary: 'Carries a cohort to another programme, version or goal',
    body: schema,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'retarget', body, person }, async (w) =>
        retargetCohort(w, body, await readProgramme(w.trx, body.programmeId)),
      ),
  });
}
