import type { FastifyInstance } from 'fastify';
import { nurserySchools, schoolsPreview, type CohortChange } from '@gonimos/contract/schools';
import { changeOfCourse } from '@gonimos/core/course';
import { compileFor, readyFacts } from '../planning/replan.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { chooseSchools } from './service.ts';

const CHUNK = 200;
const changes = ({ change: c }: CohortChange) => c.moved.length + c.added.length + c.removed.length > 0;

export function schoolRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/schools',
    role: 'helper',
    summary: 'What would move if these schools held, for a cohort or for the nursery; nothing is written',
    body: schoolsPreview,
    handle: async ({ body }): Promise<CohortChange[]> => {
      const planning = await app.planning(app.db);
      const ids: string[] = body.cohortId
        ? [body.cohortId]
        : await app.db('cohort').where('growing', true).orderBy('code').pluck('id');
      const out: CohortChange[] = [];
      for (let i = 0; i < ids.length; i += CHUNK) {
        const facts = await readyFacts(app.db, ids.slice(i, i + CHUNK), planning);
        for (const f of facts) {
          const schools = body.cohortId
            ? { ...f.schools, cohort: body.schools }
            : { ...f.schools, nursery: body.schools };
          const change = changeOfCourse(compileFor(f, planning), compileFor({ ...f, schools }, planning));
          out.push({ cohortId: f.id, code: f.code, change });
        }
        // others are served between the parts of a large nursery
        await new Promise((go) => setImmediate(go));
      }
      return out.filter(changes);
    },
  });

  route(app, {
    method: 'PUT',
    url: '/nursery/schools',
    role: 'owner',
    summary: 'Changes the schools of the nursery; every course is planned again',
    body: nurserySchools,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'schools', body, person }, (w) => chooseSchools(w, body)),
  });
}
