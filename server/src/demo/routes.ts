import type { FastifyInstance } from 'fastify';
import { stepCalendar } from '@gonimos/contract/nursery';
import { addDays } from '@gonimos/core/calendar';
import { Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { shown } from '../nursery/shown.ts';
import { readNursery, setDemoToday } from '../nursery/store.ts';
import { extendWeather } from '../simulated/weather.ts';
import { touching, write } from '../write/write.ts';

export function demoRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/demo/calendar',
    role: 'helper',
    summary: 'Moves the demo calendar on by days, a season at most',
    body: stepCalendar,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'demo calendar', body, person }, async ({ trx }) => {
        const nursery = await readNursery(trx);
        if (!app.demo || nursery.demoToday === null)
          throw new Refusal('not-the-demo', 'Only the demo nursery has a calendar of its own.');
        const today = addDays(nursery.demoToday, body.days);
        await extendWeather(trx, nursery, today);
        await setDemoToday(trx, today);
        const now = shown(await readNursery(trx), person);
        return touching('new day', `the calendar went on to ${today}`, now);
      }),
  });
}
