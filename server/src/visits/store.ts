import type { NewVisit, Release } from '@gonimos/contract/visits';
import { FOUND, type Cause } from '@gonimos/core/visits';
import type { Sql } from '../db/index.ts';

interface Follows {
  causes: Cause[];
  checkOn: string | null;
  until: string | null;
  container: string | null;
  containerBefore: string | null;
  taxonBefore: string | null;
  personId: string | null;
}

export const insertVisit = (sql: Sql, v: NewVisit, f: Follows): Promise<unknown> =>
  sql('record').insert({
    ...{ id: v.id, cohort_id: v.cohortId, kind: 'visit', step_key: v.stepKey, on_date: v.on },
    ...{ found: v.found, decision: v.decision, note: v.note, until: f.until, finished: false },
    ...{ causes: JSON.stringify(f.causes), check_on: f.checkOn, person_id: f.personId },
    ...{ container: f.container, container_before: f.containerBefore },
    ...{ taxon_id: v.taxonId ?? null, taxon_before: f.taxonBefore },
    reason: v.found.map((x) => FOUND[x]).join(', ') || v.note || null,
  });

export const insertRelease = (sql: Sql, r: Release, today: string, personId: string): Promise<unknown> =>
  sql('record').insert({
    ...{
      id: r.id,
      cohort_id: r.cohortId,
      kind: 'released',
      on_date: today,
      note: r.note,
      person_id: personId,
    },
  });
