import type { FastifyInstance } from 'fastify';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readFull, readRoom } from './room.ts';
import { readBeds } from './store.ts';
import { readWinter } from './winter.ts';

export function bedRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/beds',
    role: 'helper',
    summary: 'The nursery from above: every place with its cohorts and what is due there',
    handle: async () => readBeds(app.db, todayAt(await readNursery(app.db))),
  });

  route(app, {
    method: 'GET',
    url: '/beds/room',
    role: 'helper',
    summary: 'Every place with its room, what stands there, and how full it will be month by month',
    handle: async () => readRoom(app.db, todayAt(await readNursery(app.db))),
  });

  route(app, {
    method: 'GET',
    url: '/beds/full',
    role: 'helper',
    summary: 'Places that will hold more than they have room for within four months',
    handle: async () => readFull(app.db, todayAt(await readNursery(app.db))),
  });

  route(app, {
    method: 'GET',
    url: '/beds/winter',
    role: 'helper',
    summary: 'Where what is tender goes before the cold, and what is hardened off and set out again',
    handle: async () => readWinter(app.db, todayAt(await readNursery(app.db))),
  });
}
