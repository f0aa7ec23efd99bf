import type { FastifyInstance } from 'fastify';
import { stationAnswer } from '@gonimos/contract/station';
import type { Db } from '../db/index.ts';
import { findNursery, type NurseryRow } from '../nursery/store.ts';
import { hourAt } from '../simulated/station.ts';
import { askStation } from './ask.ts';
import { believable } from './clock.ts';
import { insertReadings } from './store.ts';

const FRESH_MS = 60_000;

/** What a station was last asked, and what was wrong with its answer; kept by this server alone. */
interface Asked {
  at: number;
  trouble: string | null;
}
const asked = new WeakMap<FastifyInstance, Map<string, Asked>>();

async function ask(app: FastifyInstance, url: string | null): Promise<unknown> {
  if (url !== null) return askStation(url);
  const reply = await app.inject('/station/readings');
  return reply.statusCode === 200 ? reply.json() : null;
}

/** The station's own address, the demo's simulated one (null), or none at all. */
export const stationOf = (n: NurseryRow): { url: string | null } | null =>
  n.stationUrl ? { url: n.stationUrl } : n.demoToday ? { url: null } : null;

/** The minute it is at the nursery, as readings write it; in the demo the hour is that of its calendar's day. */
function minuteAt(n: NurseryRow): string {
  if (n.demoToday) return `${n.demoToday}T${String(hourAt(n.timeZone)).padStart(2, '0')}:59`;
  return new Intl.DateTimeFormat('sv-SE', {
    timeZone: n.timeZone,
    dateStyle: 'short',
    timeStyle: 'short',
  })
    .format(new Date())
    .replace(' ', 'T');
}

/**
 * Asks the station for its last day and keeps what is new; at most once a minute. A station that does not
 * answer, or answers something else, leaves what is known as it was, and so do readings its clock makes false.
 */
export async function pollStation(
  app: FastifyInstance,
  db: Db,
): Promise<{ name: string | null; trouble: string | null }> {
  const nursery = await findNursery(db);
  const station = nursery && stationOf(nursery);
  if (!station) return { name: null, trouble: null };
  const key = `${station.url} ${nursery.demoToday}`;
  const mine = asked.get(app) ?? new Map<string, Asked>();
  asked.set(app, mine);
  const known = (await db('setting').where({ key: 'station name' }).first('value'))?.value ?? null;
  const last = mine.get(key);
  if (last && Date.now() - last.at < FRESH_MS) return { name: known, trouble: last.trouble };
  const now: Asked = { at: Date.now(), trouble: null };
  mine.set(key, now);
  try {
    const answer = stationAnswer.validateSync(await ask(app, station.url), { strict: true });
    const { good, trouble } = believable(answer.readings, minuteAt(nursery));
    now.trouble = trouble;
    await insertReadings(db, good);
    await db('setting').insert({ key: 'station name', value: answer.station }).onConflict('key').merge();
    return { name: answer.station, trouble };
  } catch (error) {
    app.log.warn({ name: (error as Error).name }, 'the weather station did not answer as expected');
    now.trouble = 'It did not answer as a station does; what is shown is from before';
    return { name: known, trouble: now.trouble };
  }
}
