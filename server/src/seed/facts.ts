import { addDays, toDay } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import { standing } from '@gonimos/core/ledger';
import { chilledBy, emergenceCurve } from '@gonimos/core/seed';
import type { Sql } from '../db/index.ts';
import type { CohortFacts } from '../facts/facts.ts';
import type { AddFacts, FactSource } from '../facts/source.ts';
import { readEntriesOf } from '../ledger/store.ts';

interface SownRow {
  id: string;
  cover: number | null;
  coldOn: string | null;
}

/** Days of cold a sowing had, where its lot tells of any. */
export const chilledOf = (coldOn: string | null, sownOn: string): number | null =>
  coldOn === null ? null : chilledBy(toDay(coldOn), toDay(sownOn));

/** When half of each covered sowing were up, by what the ledger has of them. */
async function halvesUp(sql: Sql, covered: readonly CohortFacts[]): Promise<Map<string, string>> {
  const up = new Map<string, string>();
  if (covered.length === 0) return up;
  const ids = covered.map((f) => f.id);
  const entries = groupBy(await readEntriesOf(sql, ids), (e) => e.cohortId);
  for (const f of covered) {
    const own = standing(entries.get(f.id) ?? []);
    const came = own.filter((e) => e.type === 'emerged').map((e) => ({ on: e.on, count: e.count }));
    const { t50 } = emergenceCurve(f.startedOn, f.live, came);
    if (t50 !== null) up.set(f.id, addDays(f.startedOn, Math.round(t50)));
  }
  return up;
}

/** Cold that seed had before it was sown, its cover, and when half of it was up under that. */
export const addSeedFacts: AddFacts = async (sql, facts) => {
  const rows: SownRow[] = await sql('cohort as c')
    .whereIn(
      'c.id',
      facts.map((f) => f.id),
    )
    .select(
      'c.id',
      sql.raw(
        `(SELECT x.clearance FROM protection x WHERE x.cohort_id = c.id AND x.ended IS NULL
          ORDER BY x.from_date DESC, x.id LIMIT 1) AS cover`,
      ),
      sql.raw(
        `(SELECT min(e.on_date) FROM seed_event e WHERE e.lot_id = c.lot_id AND e.kind = 'to cold') AS cold_on`,
      ),
    );
  const sown = new Map(rows.map((r) => [r.id, r]));
  const covered = facts.filter((f) => sown.get(f.id)!.cover !== null && f.programme.method === 'seed');
  const halves = await halvesUp(sql, covered);
  return facts.map((f) => {
    const { cover, coldOn } = sown.get(f.id)!;
    return {
      ...f,
      chilled: chilledOf(coldOn, f.startedOn),
      cover: cover === null ? null : { clearance: cover },
      halfUp: halves.get(f.id) ?? null,
    };
  });
};

export const seedFacts: FactSource = () => addSeedFacts;
