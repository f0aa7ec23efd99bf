import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { endProtection as ending, newProtection, newSeedEvent, newSeedLot } from '@gonimos/contract/seed';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { hemisphereOf } from '@gonimos/core/season';
import { notFound, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { answering, touching, write } from '../write/write.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import { guardDone, guardOff, readLots, readSowing } from './service.ts';
import { cohortsOf, endProtection, insertLot, insertProtection, insertSeedEvent } from './store.ts';

const params = object({ id: id() });

export function seedRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/seed-lots',
    role: 'helper',
    summary: 'Seed lots with what was done to them, what is left, and what they want before sowing',
    handle: () => readLots(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/seed-lots',
    role: 'grower',
    summary: 'Enters a seed lot',
    body: newSeedLot,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'seed lot', body, person }, async ({ trx }) => {
        const nursery = await readNursery(trx);
        const { from } = readUncertainDate(body.harvested, hemisphereOf(nursery.latitude))!;
        await notInFuture(trx, 'harvested', from);
        if (body.parentId) {
          const parent = await trx('cohort').where({ id: body.parentId }).first('taxon_id');
          if (!parent) throw wrongField('parentId', 'is not there');
          if (parent.taxon_id !== body.taxonId) throw wrongField('parentId', 'is of another kind of plant');
        }
        await insertLot(trx, body, from);
        return answering({ id: body.id });
      }),
  });

  route(app, {
    method: 'POST',
    url: '/seed-lots/:id/events',
    role: 'helper',
    summary: 'Soaked, to warm, to cold, out, a viability test, thrown away',
    params,
    body: newSeedEvent,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `seed event ${p.id}`, body, person }, async ({ trx }) => {
        const lot = await trx('seed_lot').where({ id: p.id }).first('harvested_from');
        if (!lot) throw notFound('seed lot');
        await notInFuture(trx, 'on', body.on);
        if (body.on < lot.harvested_from)
          throw wrongField('on', `is before the harvest, ${lot.harvested_from}`);
        if (body.kind === 'test' && body.tested === null)
          throw wrongField('tested', 'is missing: how many seeds were tried');
        if (body.kind === 'test' && body.sound === null)
          throw wrongField('sound', 'is missing: how many were sound');
        if (body.kind !== 'test' && body.tested !== null) throw wrongField('tested', 'goes with a test only');
        await insertSeedEvent(trx, p.id, body, person.id);
        // when a sowing comes up hangs on the cold its seed had
        const sowings = body.kind === 'to cold' ? await cohortsOf(trx, p.id) : [];
        return touching(sowings, 'more was told of the seed', { id: body.id });
      }),
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/sowing',
    role: 'helper',
    summary: 'Emergence over time with t50, covers, the risk of animals, losses before emergence',
    params,
    handle: ({ params: p }) => readSowing(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/protections',
    role: 'helper',
    summary: 'A cover over plants or seed: mesh, fleece, cage or glass',
    params,
    body: newProtection,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `protection ${p.id}`, body, person }, async (w) => {
        const { trx } = w;
        await lockCohort(trx, p.id);
        await notInFuture(trx, 'from', body.from);
        await insertProtection(trx, p.id, body, person.id);
        await guardDone(w, p.id, body);
        return touching([p.id], 'a cover went on', { id: body.id });
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/protections/:id/end',
    role: 'helper',
    summary: 'The cover came off',
    params,
    body: ending,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `protection end ${p.id}`, body, person }, async (w) => {
        const { trx } = w;
        await notInFuture(trx, 'ended', body.ended);
        const row = await trx('protection').where({ id: p.id }).first('from_date', 'cohort_id');
        if (!row) throw notFound('protection');
        await lockCohort(trx, row.cohort_id);
        if (body.ended < row.from_date) throw wrongField('ended', `is before it went on, ${row.from_date}`);
        await endProtection(trx, p.id, body.version, body.ended);
        await guardOff(w, row.cohort_id, p.id, body.ended);
        return touching([row.cohort_id], 'a cover came off', { id: p.id });
      }),
  });
}
