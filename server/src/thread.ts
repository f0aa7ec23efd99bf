/** One of the crew of planning: plans courses that are due, on a thread and a connection of its own. */
import { workerData } from 'node:worker_threads';
import { openDatabase } from './db/index.ts';
import { houseOf } from './house.ts';
import type { Turn } from './planning/crew.ts';
import { workOffSome, type Kept } from './planning/due.ts';

/** Courses planned in one transaction: on a thread of its own they hold up nobody's answer. */
const AT_ONCE = 170;

const { url } = workerData as { url: string };
const house = houseOf(openDatabase(url, 1));

/** What was planned from last; what becomes due later is planned from what is read anew. */
let kept: Kept | null = null;

/** From which end this thread goes through the places; it stays with what it was first asked for. */
let backwards: boolean | null = null;

/** Plans parts for a while; whether there may be more to plan. */
export default async function work(turn: Turn): Promise<boolean> {
  const until = Date.now() + turn.forMs;
  backwards ??= turn.backwards;
  do {
    const next = await workOffSome(house, kept, { most: AT_ONCE, backwards });
    if (!next) return false;
    kept = next;
  } while (Date.now() < until);
  return true;
}
