import type { NewVisit, Release } from '@gonimos/contract/visits';
import { FOUND, type Cause } from '@gonimos/core/visits';
import type { Sql } from '../db/index.ts';
import { insertLines } from '../records/store.ts';

interface Follows {
  causes: Cause[];
  checkOn: string | null;
  personId: string | null;
  until?: string | null;
  /** stepping back: into what, and out of what */
  potting?: { container: string; before: string };
  taxonBefore?: string | null;
}

export const insertVisit = (sql: Sql, v: NewVisit, f: Follows): Promise<void> =>
  insertLines(sql, [
    {
      id: v.id,
      cohortId: v.cohortId,
      kind: 'visit',
      stepKey: v.stepKey,
      on: v.on,
      personId: f.personId,
      until: f.until,
      reason: v.found.map((x) => FOUND[x]).join(', ') || v.note || null,
      note: v.note,
      finished: false,
      details: {
        visit: {
          found: v.found,
          decision: v.decision,
          causes: f.causes,
          checkOn: f.checkOn,
          taxonId: v.taxonId ?? null,
          taxonBefore: f.taxonBefore ?? null,
        },
        ...(f.potting ? { potting: f.potting } : {}),
      },
    },
  ]);

export const insertRelease = (sql: Sql, r: Release, today: string, personId: string): Promise<void> =>
  insertLines(sql, [{ ...r, kind: 'released', stepKey: null, on: today, personId }]);
