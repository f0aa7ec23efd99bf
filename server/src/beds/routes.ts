import type { FastifyInstance } from 'fastify';
import { readRoute } from '../http/reading.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readFull, readRoom } from './room.ts';
import { readBeds } from './store.ts';
import { readWinter } from './winter.ts';

export function bedRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/beds',
    role: 'helper',
    summary: 'The nursery from above: every place with its cohorts and what is due there',
    read: async (sql) => readBeds(sql, todayAt(await readNursery(sql))),
  });

  readRoute(app, {
    url: '/beds/room',
    role: 'helper',
    summary: 'Every place with its room, what stands there, and how full it will be month by month',
    read: async (sql) => readRoom(sql, todayAt(await readNursery(sql))),
  });

  readRoute(app, {
    url: '/beds/full',
    role: 'helper',
    summary: 'Places that will hold more than they have room for within four months',
    read: async (sql) => readFull(sql, todayAt(await readNursery(sql))),
  });

  readRoute(app, {
    url: '/beds/winter',
    role: 'helper',
    summary: 'Where what is tender goes before the cold, and what is hardened off and set out again',
    read: async (sql) => readWinter(sql, todayAt(await readNursery(sql))),
  });
}
