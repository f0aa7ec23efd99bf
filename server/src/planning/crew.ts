import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';

/** Longest a thread works before it asks whether to go on, ms. */
const TURN_MS = 700;
/** Threads nobody needed for so long are let go, ms. */
const IDLE_MS = 60_000;

/** What a thread is asked for: to plan for a while, from one end of the places or the other. */
export interface Turn {
  forMs: number;
  backwards: boolean;
}

/** Threads that plan courses beside the one that answers. */
export interface Crew {
  /** plans what is due until none is left, it is paused, or `ended` says so */
  workOff: (ended: () => boolean) => Promise<void>;
  close: () => Promise<void>;
}

/** Once the server is built its threads are plain JavaScript beside it; before, they are read as they are written. */
const built = import.meta.url.endsWith('.js');

export function openCrew(url: string): Crew {
  const threads = Math.min(4, availableParallelism());
  const pool = new Piscina({
    filename: new URL(built ? './thread.js' : '../thread.ts', import.meta.url).href,
    execArgv: built ? [] : ['--import', '@oxc-node/core/register'],
    workerData: { url },
    // a plan is many small things that live shortly: room for them spares the sweeping
    resourceLimits: { maxYoungGenerationSizeMb: 128 },
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
  });
  /** One thread of the crew, turn after turn; the first that finds nothing left is the sign for none. */
  const member = async (turn: Turn, ended: () => boolean): Promise<void> => {
    while (!ended()) if (!(await (pool.run(turn) as Promise<boolean>))) return;
  };
  const turns = Array.from({ length: threads }, (_, i): Turn => ({ forMs: TURN_MS, backwards: i % 2 === 1 }));
  return {
    workOff: async (ended) => {
      await Promise.all(turns.map((turn) => member(turn, ended)));
    },
    close: () => pool.destroy(),
  };
}
