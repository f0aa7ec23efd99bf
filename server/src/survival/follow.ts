import { randomUUID } from 'node:crypto';
import type { Loss } from '@gonimos/contract/records';
import { wrongField } from '../http/problem.ts';
import type { Follower, Work } from '../write/types.ts';

const dead = (losses: readonly Loss[], ...kinds: Loss['kind'][]) =>
  losses.reduce((n, l) => n + (kinds.includes(l.kind) ? l.count : 0), 0);

/** What the model and the grower said before severe work, and what the look after it showed. */
export const survivalFollower: Follower = {
  check: (_w, { record, left, losses }) => {
    const alive = record.details.survival?.alive ?? null;
    if (alive === null) return;
    if (alive > left) throw wrongField('details.survival.alive', `is more than the ${left} there were`);
    // those not counted alive and not lost by a named cause died after the work
    const rest = left - dead(losses, 'lost', 'culled') - alive;
    if (rest > 0) losses.push({ id: randomUUID(), kind: 'lost', count: rest, cause: 'died after work' });
  },
  keeps: (work) => {
    const looked = lookedAt(work);
    const sure = work.record.details.survival?.sure ?? null;
    if (looked === null && sure === null && work.odds === null) return {};
    return { survival: { sure, odds: work.odds, alive: looked?.alive ?? null, of: looked?.of ?? null } };
  },
};

/** How many of those looked at live; null where the work was no look for life. */
function lookedAt({ operation, left, losses }: Work): { alive: number; of: number } | null {
  if (!operation?.asks.includes('alive')) return null;
  return { alive: Math.max(0, left - dead(losses, 'lost')), of: left };
}
