import type { FastifyInstance } from 'fastify';
import { stationAnswer } from '@gonimos/contract/station';
import type { Db } from '../db/index.ts';
import { findNursery, type NurseryRow } from '../nursery/store.ts';
import { insertReadings } from './store.ts';

const TIMEOUT_MS = 5000;
const FRESH_MS = 60_000;
/** When each address was last asked, by this server. */
const asked = new WeakMap<FastifyInstance, Map<string, number>>();

async function ask(app: FastifyInstance, url: string | null): Promise<unknown> {
  if (url === null) {
    const reply = await app.inject('/station/readings');
    return reply.statusCode === 200 ? reply.json() : null;
  }
  const reply = await fetch(url, {
    signal: AbortSignal.timeout(TIMEOUT_MS),
    headers: { accept: 'application/json' },
  });
  return reply.ok ? reply.json() : null;
}

/** The station's own address, the demo's simulated one (null), or none at all. */
export const stationOf = (n: NurseryRow): { url: string | null } | null =>
  n.stationUrl ? { url: n.stationUrl } : n.demoToday ? { url: null } : null;

/**
 * Asks the station for its last day and keeps what is new; at most once a minute. A station that does not
 * answer, or answers something else, leaves what is known as it was. Gives the station's name.
 */
export async function pollStation(app: FastifyInstance, db: Db): Promise<string | null> {
  const nursery = await findNursery(db);
  const station = nursery && stationOf(nursery);
  if (!station) return null;
  const key = `${station.url} ${nursery.demoToday}`;
  const mine = asked.get(app) ?? new Map<string, number>();
  asked.set(app, mine);
  const last = await db('setting').where({ key: 'station name' }).first('value');
  if (Date.now() - (mine.get(key) ?? 0) < FRESH_MS) return last?.value ?? null;
  mine.set(key, Date.now());
  try {
    const answer = stationAnswer.validateSync(await ask(app, station.url), { strict: true });
    await insertReadings(db, answer.readings);
    await db('setting').insert({ key: 'station name', value: answer.station }).onConflict('key').merge();
    return answer.station;
  } catch (error) {
    app.log.warn(error, 'the weather station did not answer as expected');
    return last?.value ?? null;
  }
}
