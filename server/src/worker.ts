import type { FastifyBaseLogger } from 'fastify';
import type { House } from './write/types.ts';
import { findNursery } from './nursery/store.ts';
import { sweep } from './people/session-store.ts';
import { openCrew, type Crew } from './planning/crew.ts';
import { noteNewDay, workOff } from './planning/due.ts';

const LOOK_MS = 1_000;
const NEW_DAY_MS = 10 * 60_000;
/** From so many courses on, threads of their own plan them. */
const MANY = 150;

/**
 * Plans what is due for as long as the server runs, and everything on a new day. Nothing waits for it, and what
 * goes wrong here is told in the log and tried again. Gives what ends it.
 */
export function keepPlanned(house: House, url: string, log: FastifyBaseLogger): () => Promise<void> {
  const { db } = house;
  let ended = false;
  let looked = 0;
  let crew: Crew | null = null;
  let turn: Promise<void> = Promise.resolve();
  const plan = async () => {
    const due = await db('plan_due').count({ n: '*' }).first();
    if (Number(due?.n ?? 0) < MANY) return workOff(house, () => ended);
    crew ??= openCrew(url);
    return crew.workOff(() => ended);
  };
  const look = async () => {
    if (!(await findNursery(db))) return;
    if (Date.now() - looked > NEW_DAY_MS) {
      await noteNewDay(db);
      await sweep(db);
      looked = Date.now();
    }
    await plan();
  };
  const next = () => {
    turn = look()
      .catch((error: unknown) => log.error(error, 'planning again'))
      .then(() => {
        if (!ended) timer = setTimeout(next, LOOK_MS);
      });
  };
  let timer = setTimeout(next, 0);
  return async () => {
    ended = true;
    clearTimeout(timer);
    await turn;
    await crew?.close();
  };
}
