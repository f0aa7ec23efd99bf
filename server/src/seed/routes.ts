import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { endProtection as ending, newProtection, newSeedEvent, newSeedLot } from '@gonimos/contract/seed';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { hemisphereOf } from '@gonimos/core/season';
import { once } from '../http/once.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery } from '../nursery/store.ts';
import { lockCohort } from '../cohorts/lock.ts';
import { guardDone, guardOff, readLots, readSowing, sowingsAgain } from './service.ts';
import { endProtection, insertLot, insertProtection, insertSeedEvent } from './store.ts';

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
    handle: ({ body, person: _ }) =>
      once(app.db, body.id, 'seed lot', body, async (trx) => {
        const nursery = await readNursery(trx);
        const { from } = readUncertainDate(body.harvested, hemisphereOf(nursery.latitude))!;
        await notInFuture(trx, 'harvested', from);
        if (body.parentId) {
          const parent = await trx('cohort').where({ id: body.parentId }).first('taxon_id');
          if (!parent) throw wrongField('parentId', 'is not there');
          if (parent.taxon_id !== body.taxonId) throw wrongField('parentId', 'is of another kind of plant');
        }
        await insertLot(trx, body, from);
        return { id: body.id };
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
      once(app.db, body.id, `seed event ${p.id}`, body, async (trx) => {
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
        if (body.kind === 'to cold') await sowingsAgain(trx, p.id);
        return { id: body.id };
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
      once(app.db, body.id, `protection ${p.id}`, body, async (trx) => {
        await lockCohort(trx, p.id);
        await notInFuture(trx, 'from', body.from);
        await insertProtection(trx, p.id, body, person.id);
        await guardDone(trx, p.id, body, person);
        return { id: body.id };
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
      once(app.db, body.id, `protection end ${p.id}`, body, async (trx) => {
        await notInFuture(trx, 'ended', body.ended);
        const row = await trx('protection').where({ id: p.id }).first('from_date', 'cohort_id');
        if (!row) throw notFound('protection');
        await lockCohort(trx, row.cohort_id);
        if (body.ended < row.from_date) throw wrongField('ended', `is before it went on, ${row.from_date}`);
        await endProtection(trx, p.id, body.version, body.ended);
        await guardOff(trx, row.cohort_id, p.id, body.ended, person);
        return { id: p.id };
      }),
  });
}
