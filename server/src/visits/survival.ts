import type { SurvivalScores } from '@gonimos/contract/visits';
import type { CourseFacts } from '@gonimos/core/course';
import { learnedTolerance, scoreOf, type SurvivalOutcome } from '@gonimos/core/survival';
import { GROWTH_GROUPS, taxon, type GrowthGroup } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';

interface OutcomeRow extends SurvivalOutcome {
  taxonId: string;
}

/** Severe work with stated odds, and the two-week look that settled it. */
async function readOutcomes(sql: Sql): Promise<Map<GrowthGroup, SurvivalOutcome[]>> {
  const rows: OutcomeRow[] = await sql('record as l')
    .join('cohort as c', 'c.id', 'l.cohort_id')
    .join('record as w', (on) =>
      on
        .on('w.cohort_id', 'l.cohort_id')
        .andOn('w.step_key', sql.raw("split_part(l.step_key, '.', 1)"))
        .andOn('w.kind', sql.raw("'work'")),
    )
    .leftJoin('record as ul', 'ul.undoes', 'l.id')
    .leftJoin('record as uw', 'uw.undoes', 'w.id')
    .whereNotNull('l.alive')
    .whereNotNull('w.odds')
    .where('w.finished', true)
    .whereNull('ul.id')
    .whereNull('uw.id')
    .select({ taxonId: 'c.taxon_id', model: 'w.odds', grower: 'w.sure', alive: 'l.alive', of: 'l.alive_of' });
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
      ...{ group, name: GROWTH_GROUPS[group].name, score: scoreOf(o), factor: learnedTolerance(o).factor },
    })),
  };
}
