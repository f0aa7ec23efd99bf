import type { IsoDate } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import { fold, type LedgerEntry } from '@gonimos/core/ledger';
import type { Method } from '@gonimos/core/programmes';
import { beginningOf, stagesOf, type Beginning, type Stage } from '@gonimos/core/starts';
import { readFacts, type CohortFacts } from '../facts/facts.ts';
import type { Sql } from '../db/index.ts';
import { readEntriesOf } from '../ledger/store.ts';

/** One batch at one stage: so many stood before it, so many reached it. */
export interface Lived {
  cohortId: string;
  code: string;
  taxonId: string;
  method: Method;
  beginning: Beginning;
  stage: Stage;
  k: number;
  n: number;
  startedOn: IsoDate;
  placeId: string;
}

const goneBy = (entries: readonly LedgerEntry[], on: IsoDate): number => {
  const { gone } = fold(entries, on);
  return (gone.lost ?? 0) + (gone.culled ?? 0);
};

/** How one cohort fared at each stage that is behind it, in order. */
function livedBy(f: CohortFacts, entries: readonly LedgerEntry[]): Lived[] {
  const lived: Lived[] = [];
  let before: IsoDate = f.startedOn;
  for (const { stage, step } of stagesOf(f.programme)) {
    const fact = f.steps[step.key];
    if (fact?.status === 'dropped') continue;
    if (fact?.status !== 'done') break;
    const on = fact.doneOn!;
    let k: number = 0;
    let n: number = 0;
    const start = fold(entries);
    if (stage === 'showing') {
      const inUnits = f.programme.method === 'seed' || f.programme.method === 'layer';
      n = start.started;
      k = inUnits ? start.emerged : n - goneBy(entries, on);
    } else {
      n = fold(entries, before).live;
      k = n - (goneBy(entries, on) - goneBy(entries, before));
    }
    if (n > 0)
      lived.push({
        cohortId: f.id,
        code: f.code,
        taxonId: f.taxonId,
        method: f.programme.method,
        stage,
        n,
        beginning: beginningOf(f.programme),
        startedOn: f.startedOn,
        placeId: f.placeId,
        k: Math.max(0, Math.min(k, n)),
      });
    before = on;
  }
  return lived;
}

/** Batches of a kind that are looked back on, the latest first: older ones tell nothing new. */
const MOST_BATCHES = 100;

/** What was worked out last for a kind, and from which state of the books. Nothing in it is state of its own. */
const kept = new Map<string, { state: string; lived: Lived[] }>();

/**
 * Which state of the books a kind is told from: numbers of the last entry and record are given out once, also where a
 * write is taken back, so the same numbers are the same books.
 */
async function stateOf(sql: Sql, taxonId: string): Promise<{ key: string; state: string }> {
  const { rows } = await sql.raw<{ rows: { database: string; state: string }[] }>(
    `SELECT (SELECT oid::text FROM pg_database WHERE datname = current_database()) AS database,
       concat_ws(' ', (SELECT max(seq) FROM ledger_entry), (SELECT max(seq) FROM record),
         (SELECT count(*) || ' ' || sum(version) FROM cohort WHERE taxon_id = ?)) AS state`,
    [taxonId],
  );
  return { key: `${rows[0].database} ${taxonId}`, state: rows[0].state };
}

async function workOut(sql: Sql, taxonId: string): Promise<Lived[]> {
  const ids: string[] = await sql('cohort')
    .where({ taxonId: taxonId })
    .whereNull('splitFrom')
    .orderBy([{ column: 'startedFrom', order: 'desc' }, 'code'])
    .limit(MOST_BATCHES)
    .pluck('id');
  if (ids.length === 0) return [];
  const facts = await readFacts(sql, ids);
  const entries = groupBy(await readEntriesOf(sql, ids), (e) => e.cohortId);
  return facts
    .toSorted((a, b) => a.startedOn.localeCompare(b.startedOn) || a.code.localeCompare(b.code))
    .flatMap((f) => livedBy(f, entries.get(f.id) ?? []));
}

/** What the ledgers tell of each stage, for one kind of plant; parts split off are told by the whole. */
export async function readLived(sql: Sql, taxonId: string): Promise<Lived[]> {
  const { key, state } = await stateOf(sql, taxonId);
  const known = kept.get(key);
  if (known?.state === state) return known.lived;
  const lived = await workOut(sql, taxonId);
  kept.set(key, { state, lived });
  return lived;
}
