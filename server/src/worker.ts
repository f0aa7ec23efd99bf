import type { FastifyBaseLogger } from 'fastify';
import type { Db } from './db/index.ts';
import { findNursery } from './nursery/store.ts';
import { sweep } from './people/session-store.ts';
import { noteNewDay, workOff } from './planning/due.ts';

const LOOK_MS = 1_000;
const NEW_DAY_MS = 10 * 60_000;

/**
 * Plans what is due for as long as the server runs, and everything on a new day. Nothing waits for it, and what
 * goes wrong here is told in the log and tried again. Gives what ends it.
 */
export function keepPlanned(db: Db, log: FastifyBaseLogger): () => Promise<void> {
  let ended = false;
  let looked = 0;
  let turn: Promise<void> = Promise.resolve();
  const look = async () => {
    if (!(await findNursery(db))) return;
    if (Date.now() - looked > NEW_DAY_MS) {
      await noteNewDay(db);
      await sweep(db);
      looked = Date.now();
    }
    await workOff(db, () => ended);
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
  };
}
