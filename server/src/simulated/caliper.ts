import type { FastifyInstance } from 'fastify';
import { CALIPER_PATH } from '@gonimos/contract/caliper';
import { random } from '@gonimos/core/random';
import { caliperBefore } from '@gonimos/core/trunk';
import { notFound } from '../http/problem.ts';
import { findNursery, todayAt } from '../nursery/store.ts';

/** The button is pressed again after so long, ms, and so often at most. */
const EVERY = 700;
const MOST = 60;
/** How far plants of a cohort differ, as a share. Common practice, no source. */
const DIFFER = 0.12;

const UUID = /^[0-9a-f-]{36}$/;

/** A simulated digital caliper for the demo, in the shape of contract/src/caliper.ts: it measures one plant after another. */
export function simulatedCaliper(app: FastifyInstance): void {
  const open = new Set<() => void>();
  app.addHook('preClose', () => open.forEach((end) => end()));

  app.get<{ Querystring: { cohort?: string } }>(CALIPER_PATH, async (request, reply) => {
    const nursery = await findNursery(app.db);
    const { cohort: id = '' } = request.query;
    if (!app.demo || !nursery?.demoToday || !UUID.test(id)) throw notFound('caliper');
    const cohort = await app.db('cohort').where({ id }).first('rings');
    if (!cohort) throw notFound('caliper');
    const middle = caliperBefore(cohort.rings, Number(todayAt(nursery).slice(0, 4)));
    const rng = random(Date.now());
    reply.hijack();
    reply.raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    let sent = 0;
    const press = () => {
      const mm = Math.max(0.5, middle * Math.exp(DIFFER * rng.normal()));
      reply.raw.write(`data: ${mm.toFixed(2)} mm\n\n`);
      if (++sent >= MOST) end();
    };
    const timer = setInterval(press, EVERY);
    const end = () => {
      clearInterval(timer);
      open.delete(end);
      reply.raw.end();
    };
    open.add(end);
    request.raw.once('close', end);
    press();
  });
}
