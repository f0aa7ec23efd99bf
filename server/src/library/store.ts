import type { ProgrammeRow, ProgrammeVersion, SaveProgramme } from '@gonimos/contract/library';
import { hasProgramme, programme, PROGRAMMES, type Programme } from '@gonimos/core/programmes';
import type { Sql } from '../db/index.ts';
import { conflict, notFound, wrongField } from '../http/problem.ts';

interface OwnRow {
  id: string;
  version: number;
  body: Programme;
}

const newest = (sql: Sql): Promise<OwnRow[]> =>
  sql('programme')
    .distinctOn('id')
    .orderBy([{ column: 'id' }, { column: 'version', order: 'desc' }])
    .select('id', 'version', 'body');

export const listOwn = async (sql: Sql): Promise<ProgrammeVersion[]> =>
  (await newest(sql)).map((o) => ({ version: o.version, own: true, programme: o.body }));

/** A programme by id: the newest version of one's own, or the library's (version 1). */
export async function readProgramme(sql: Sql, id: string, version?: number): Promise<ProgrammeVersion> {
  const query = sql<OwnRow>('programme').where({ id }).orderBy('version', 'desc');
  if (version !== undefined) void query.where({ version });
  const own = await query.first();
  if (own) return { version: own.version, own: true, programme: own.body };
  if (!hasProgramme(id)) throw notFound('programme');
  return { version: 1, own: false, programme: programme(id) };
}

/** Every programme, one's own first, with how many cohorts follow it. */
export async function listProgrammes(sql: Sql): Promise<ProgrammeRow[]> {
  const use: { id: string; version: number; n: number }[] = await sql('cohort')
    .where('growing', true)
    .groupBy('programmeId', 'programmeVersion')
    .select({ id: 'programmeId', version: 'programmeVersion', n: sql.raw('count(*)::int') });
  const row = (p: Programme, version: number, own: boolean): ProgrammeRow => {
    const of = use.filter((u) => u.id === p.id);
    return {
      id: p.id,
      version,
      own,
      name: p.name,
      method: p.method,
      summary: p.summary,
      steps: p.steps.length,
      cohorts: of.reduce((n, u) => n + u.n, 0),
      behind: of.filter((u) => u.version < version).reduce((n, u) => n + u.n, 0),
    };
  };
  const own = await newest(sql);
  return [
    ...own.map((o) => row(o.body, o.version, true)),
    ...PROGRAMMES.filter((p) => !own.some((o) => o.id === p.id)).map((p) => row(p, 1, false)),
  ];
}

/** Which version of which programme is to be the next. */
export type NextVersion = Pick<SaveProgramme, 'programmeId' | 'basedOn' | 'copyOf'>;

/** Writes the next version; refused when somebody wrote one since. */
export async function insertProgramme(
  sql: Sql,
  s: NextVersion,
  p: Programme,
  personId: string,
): Promise<number> {
  const last = await sql('programme')
    .where({ id: s.programmeId })
    .max({ version: 'version' })
    .first<{ version: number | null }>();
  const have = last?.version ?? (hasProgramme(s.programmeId) ? 1 : 0);
  if (have !== s.basedOn)
    throw conflict(
      have === 0 ? 'There is no such programme to change.' : `This programme is at version ${have} now.`,
      have === 0 ? undefined : await readProgramme(sql, s.programmeId),
    );
  const version = have + 1;
  await sql('programme').insert({
    id: s.programmeId,
    version,
    body: JSON.stringify(p),
    basedOn: s.copyOf,
    personId: personId,
  });
  return version;
}

/** The programme a cohort is to follow, refused by field when there is none of that name. */
export async function programmeFor(sql: Sql, id: string) {
  try {
    return await readProgramme(sql, id);
  } catch {
    throw wrongField('programmeId', 'is not in the library');
  }
}
