import type { AuditLine } from '@gonimos/contract/audit';
import type { Sql } from '../db/index.ts';

const MOST = 500;

/** What the trail is kept of. */
export type AuditSubject = AuditLine['subject'];

/** Adds a line to the trail, in the transaction of what it tells. `personId` null: done at the machine itself. */
export const audit = (
  sql: Sql,
  personId: string | null,
  subject: AuditSubject,
  what: string,
): Promise<unknown> => sql('audit').insert({ personId: personId, subject, what });

/** The newest lines first. */
export const readAudit = (sql: Sql): Promise<AuditLine[]> =>
  sql('audit as a')
    .leftJoin('person as p', 'p.id', 'a.personId')
    .orderBy('a.seq', 'desc')
    .limit(MOST)
    .select({
      seq: 'a.seq',
      at: 'a.at',
      subject: 'a.subject',
      what: 'a.what',
      by: sql.raw("coalesce(p.name, 'at the machine')"),
    });
