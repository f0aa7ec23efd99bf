import type { SurvivalScores } from '@gonimos/contract/survival';
import type { CourseFacts } from '@gonimos/core/course';
import { learnedTolerance, scoreOf, type SurvivalOutcome } from '@gonimos/core/survival';
import { GROWTH_GROUPS, taxon, type GrowthGroup } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';

interface OutcomeRow extends SurvivalOutcome {
  taxonId: string;
}

/** Severe work with stated odds, and the two-week look that settled it. */
async function readOutcomes(sql: Sql): Promise<Map<GrowthGroup, SurvivalOutcome[]>> {
  const { rows } = await sql.raw<{ rows: OutcomeRow[] }>(`
    SELECT c.taxon_id AS "taxonId", w.survival -> 'odds' AS model, w.survival -> 'sure' AS grower,
      l.survival -> 'alive' AS alive, l.survival -> 'of' AS "of"
    FROM (SELECT *, details -> 'survival' AS survival FROM standing_record) l
    JOIN cohort c ON c.id = l.cohort_id
    JOIN (SELECT *, details -> 'survival' AS survival FROM standing_record WHERE kind = 'work' AND finished) w
      ON w.cohort_id = l.cohort_id AND w.step_key = split_part(l.step_key, '.', 1)
    WHERE jsonb_typeof(l.survival -> 'alive') = 'number' AND jsonb_typeof(w.survival -> 'odds') = 'number'`);
  const by = new Map<GrowthGroup, SurvivalOutcome[]>();
  for (const r of rows) {
    const { group } = taxon(r.taxonId);
    by.set(group, [...(by.get(group) ?? []), r]);
  }
  return by;
}

/** What outcomes have taught of each growth group's tolerance. */
export async function learnedByGroup(sql: Sql): Promise<Map<string, NonNullable<CourseFacts['learned']>>> {
  return new Map([...(await readOutcomes(sql))].map(([group, o]) => [group, learnedTolerance(o)]));
}

export async function readScores(sql: Sql): Promise<SurvivalScores> {
  const by = await readOutcomes(sql);
  return {
    all: scoreOf([...by.values()].flat()),
    groups: [...by].map(([group, o]) => ({
      group,
      name: GROWTH_GROUPS[group].name,
      score: scoreOf(o),
      factor: learnedTolerance(o).factor,
    })),
  };
}
