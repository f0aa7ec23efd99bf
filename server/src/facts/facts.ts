import type { KeptDetails } from '@gonimos/contract/details';
import type { RecordKind } from '@gonimos/contract/records';
import type { CourseFacts, StepFact } from '@gonimos/core/course';
import { isOfBase } from '@gonimos/core/measuring';
import { hasOperation, operation } from '@gonimos/core/operations';
import { firstStep, hasProgramme, type Programme } from '@gonimos/core/programmes';
import type { Choices } from '@gonimos/core/schools';
import { LIGHTENED } from '@gonimos/core/visits';
import { groupBy } from '@gonimos/core/group';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { programmesOf } from './programmes.ts';

export interface CohortFacts extends CourseFacts {
  id: string;
  code: string;
  placeId: string;
  container: string;
  /** when it came to its place */
  placeSince: string;
}

/** How steps done up to a record stand under the programme that came after it; '' for no like. */
export interface StepMap {
  upTo: number;
  keys: Record<string, string>;
}

interface CohortRow {
  id: string;
  code: string;
  taxonId: string;
  programme: Programme;
  programmeId: string;
  programmeVersion: number;
  taxonMaybe: string[] | null;
  stepMaps: StepMap[];
  startedFrom: string;
  standsAt: string | null;
  firstContainer: string | null;
  container: string;
  splitFrom: string | null;
  splitSeq: number | null;
  live: number;
  pending: number;
  placeId: string;
  placeSince: string | null;
  light: 'full' | 'half' | 'shade';
  schools: Choices;
}

export interface RecordFact {
  id: string;
  seq: number;
  cohortId: string;
  kind: RecordKind;
  stepKey: string | null;
  onDate: string;
  until: string | null;
  reason: string | null;
  finished: boolean;
  done: number | null;
  note: string;
  details: KeptDetails;
}

const RECORD = [
  'id',
  'seq',
  'cohortId',
  'kind',
  'stepKey',
  'onDate',
  'until',
  'reason',
  'finished',
  'done',
  'note',
  'details',
];

/** Records that stand, oldest first, of these cohorts. */
async function standingRecords(sql: Sql, ids: string[]): Promise<Map<string, RecordFact[]>> {
  const rows: RecordFact[] = await sql('standing_record')
    .whereIn('cohortId', ids)
    .orderBy('seq')
    .select(RECORD);
  return groupBy(rows, (r) => r.cohortId);
}

interface Origin {
  splitFrom: string | null;
  splitSeq: number | null;
}

/** Follows splits back, so that a part keeps the history of the whole up to the parting; a generation at a time. */
async function withHistory(sql: Sql, cohorts: CohortRow[]): Promise<Map<string, RecordFact[]>> {
  const all = await standingRecords(
    sql,
    cohorts.map((c) => c.id),
  );
  let open = cohorts.map((c) => ({ id: c.id, from: c.splitFrom, until: c.splitSeq }));
  while ((open = open.filter((o) => o.from !== null)).length > 0) {
    const ids = [...new Set(open.map((o) => o.from!))];
    const before = await standingRecords(sql, ids);
    const origins = new Map<string, Origin>(
      (await sql('cohort').whereIn('id', ids).select('id', 'splitFrom', 'splitSeq')).map(
        (c: Origin & { id: string }) => [c.id, c],
      ),
    );
    for (const o of open) {
      const inherited = (before.get(o.from!) ?? []).filter((r) => r.seq <= o.until!);
      all.set(o.id, [...inherited, ...(all.get(o.id) ?? [])]);
      const next = origins.get(o.from!)!;
      [o.from, o.until] = [next.splitFrom, next.splitSeq];
    }
  }
  return all;
}

/** The key a record's step has under the programme followed now; null when it has no like there. */
export function keyNow(maps: StepMap[], seq: number, key: string): string | null {
  let now: string | null = key;
  for (const { upTo, keys } of maps) {
    if (seq > upTo || now === null) continue;
    // aftercare is named after the step it follows
    const dot: number = now.indexOf('.');
    const head: string = dot < 0 ? now : now.slice(0, dot);
    const like: string = head in keys ? keys[head] : head;
    now = like === '' ? null : like + (dot < 0 ? '' : now.slice(dot));
  }
  return now;
}

function stepFacts(c: CohortRow, records: RecordFact[]): Record<string, StepFact> {
  const steps: Record<string, StepFact> = {};
  if (c.standsAt !== null)
    for (const s of c.programme.steps) {
      if (s.key === c.standsAt) break;
      steps[s.key] = { status: 'dropped' };
    }
  for (const r of records) {
    const key = r.stepKey === null ? null : keyNow(c.stepMaps, r.seq, r.stepKey);
    if (key === null) continue;
    const now = steps[key]?.status === 'planned' ? steps[key] : { status: 'planned' as const };
    if (r.kind === 'put off' || (r.kind === 'visit' && r.until !== null))
      steps[key] = {
        ...now,
        missed: undefined,
        moved: undefined,
        putOff: { until: r.until!, reason: r.reason ?? r.note },
      };
    else if (r.kind === 'moved')
      steps[key] = {
        ...now,
        missed: undefined,
        putOff: undefined,
        moved: { to: r.until!, overrides: r.details.move?.overrides ?? null, reason: r.reason ?? '' },
      };
    else if (r.details.visit?.decision === 'lighten')
      steps[key] = {
        ...now,
        missed: undefined,
        lighten: { share: LIGHTENED, found: r.reason ?? r.note, on: r.onDate },
      };
    else if (r.kind === 'missed' && r.details.missed && steps[key]?.status !== 'done') {
      const { opens, closes } = r.details.missed;
      steps[key] = { ...now, missed: { opens, closes } };
    } else if (r.kind === 'lapsed') steps[key] = { ...now, lapsed: true };
    else if (r.kind === 'let go') steps[key] = { status: 'dropped' };
    else if (r.kind === 'work' && !r.finished && r.details.looks?.again)
      steps[key] = { ...now, missed: undefined, again: { on: r.onDate, found: r.details.looks.again } };
    // what was left waits for its day
    else if (r.kind === 'work' && !r.finished && r.details.stem?.until)
      steps[key] = {
        ...now,
        missed: undefined,
        moved: undefined,
        putOff: { until: r.details.stem.until, reason: r.details.stem.left.join('; ') || r.note },
      };
    // it stays on some of them: they are looked at again
    else if (r.kind === 'work' && !r.finished && r.details.fittings?.tend)
      steps[key] = {
        ...now,
        missed: undefined,
        again: { on: r.onDate, found: `it stayed on ${r.details.fittings.tend.stays}` },
      };
    // a part that was split off begins anew with what was left for it
    else if (r.kind === 'work' && !r.finished) {
      // cuttings that were looked at are looked at again
      if (r.cohortId === c.id && !r.details.cuttings)
        steps[key] = { ...now, part: (now.part ?? 0) + (r.done ?? 0), partOn: r.onDate };
    } else if (r.kind === 'work')
      steps[key] = {
        status: 'done',
        doneOn: r.onDate,
        container: r.details.potting?.container ?? null,
        ...(steps[key]?.lighten ? { lighten: steps[key].lighten } : {}),
        ...((r.details.roots?.took ?? null) === null ? {} : { took: r.details.roots!.took! }),
        ...((r.details.stem?.took ?? null) === null ? {} : { tookTop: r.details.stem!.took! }),
      };
  }
  return steps;
}

/** Held apart since the last visit that said so, unless released after it. */
export function quarantineOf(records: readonly RecordFact[]): CourseFacts['quarantine'] {
  let held: CourseFacts['quarantine'] = null;
  for (const r of records) {
    if (r.details.visit?.decision === 'quarantine')
      held = { since: r.onDate, found: r.reason || r.note || 'as decided' };
    if (r.kind === 'released') held = null;
  }
  return held;
}

/** The operation of a step: the programme's own, or aftercare named after the step it follows. */
function operationOf(p: Programme, key: string): string | null {
  const care = key.split('.').at(-1)!;
  return p.steps.find((s) => s.key === key)?.operation ?? (hasOperation(care) ? care : null);
}

/** When the roots were last seen to hold. */
function firmOn(c: CohortRow, own: readonly RecordFact[]): string | null {
  const firm = own.findLast((r) => {
    if (r.kind !== 'work' || !r.finished || r.stepKey === null) return false;
    const id = operationOf(c.programme, r.stepKey);
    return id !== null && operation(id).firms === true;
  });
  return firm?.onDate ?? null;
}

/** Whether a programme begins with seed that has to come up. */
const sowsSeed = (p: Programme): boolean =>
  p.steps.some((s) => operation(s.operation).asks.includes('emergence'));

/** When the base of a layer is split was said as it was severed. */
function saidAtSevering(own: readonly RecordFact[]): Choices {
  const said = own.findLast((r) => (r.details.layer?.split ?? null) !== null);
  return said ? { 'base-split': said.details.layer!.split ? 'severing' : 'established' } : {};
}

function factsOf(c: CohortRow, own: RecordFact[]): CohortFacts {
  const tally = own.findLast((r) => r.details.looks?.buds);
  const low = own.findLast((r) => (r.details.looks?.lowGrowth ?? null) !== null);
  return {
    id: c.id,
    code: c.code,
    placeId: c.placeId,
    container: c.container,
    taxonId: c.taxonId,
    programme: c.programme,
    startedOn: c.startedFrom,
    live: c.live || c.pending,
    nothingUp: c.live === 0 && c.pending > 0 && sowsSeed(c.programme),
    firstContainer: c.firstContainer,
    placeSince: c.placeSince ?? c.startedFrom,
    schools: { nursery: {}, cohort: { ...c.schools, ...saidAtSevering(own) } },
    sizes: own.flatMap(({ onDate: on, details: { sizes } }) =>
      sizes ? [{ on, caliper: isOfBase(sizes.at) ? sizes.caliper : null, height: sizes.height }] : [],
    ),
    vigour: own.flatMap(({ onDate: on, details: { looks } }) =>
      looks?.vigour ? [{ on, value: looks.vigour }] : [],
    ),
    // with a step of its own it is told there
    moves: own.flatMap(({ kind, stepKey, onDate: on, details: { potting } }) =>
      potting && (kind !== 'work' || stepKey === null) ? [{ on, container: potting.container }] : [],
    ),
    quarantine: quarantineOf(own),
    light: { is: c.light, since: c.placeSince ?? c.startedFrom },
    buds: tally ? { on: tally.onDate, ...tally.details.looks!.buds! } : null,
    lowGrowth: low ? { on: low.onDate, seen: low.details.looks!.lowGrowth! } : null,
    maybe: c.taxonMaybe ?? [],
    // the library’s own programmes are version 1
    own: c.programmeVersion > 1 || !hasProgramme(c.programmeId),
    firmOn: firmOn(c, own),
    steps: stepFacts(c, own),
  };
}

/** What cohorts themselves tell the compiler: all living ones, or those named; the subjects add to it. */
export async function readFacts(sql: Sql, ids?: string[]): Promise<CohortFacts[]> {
  const query = sql('cohort as c')
    .join('place as p', 'p.id', 'c.placeId')
    .select(
      ...['id', 'code', 'taxonId', 'stepMaps', 'startedFrom', 'standsAt'].map((x) => `c.${x}`),
      ...['firstContainer', 'container', 'splitFrom', 'splitSeq', 'live', 'pending'].map((x) => `c.${x}`),
      'c.placeId',
      'c.placeSince',
      'c.schools',
      'p.light',
      'c.programmeId',
      'c.programmeVersion',
      'c.taxonMaybe',
      'c.programmeDigest',
    );
  if (ids) query.whereIn('c.id', ids);
  else query.where('c.growing', true);
  const rows = (await query) as (Omit<CohortRow, 'programme'> & { programmeDigest: string })[];
  const known = await programmesOf(sql, rows);
  const cohorts: CohortRow[] = rows.map((r) => ({ ...r, programme: known.get(r.programmeDigest)! }));
  if (ids && cohorts.length < ids.length) throw notFound('cohort');
  const records = await withHistory(sql, cohorts);
  return cohorts.map((c) => factsOf(c, records.get(c.id) ?? []));
}

/** Facts of a cohort that does not exist yet, standing at a step of its programme. */
export function factsToBe(
  p: Programme,
  c: Pick<CourseFacts, 'taxonId' | 'startedOn' | 'live' | 'maybe' | 'own'> & {
    container: string | null;
    chilled?: number | null;
    standsAt: string | null;
    schools: Choices;
  },
  nursery: Choices,
): CourseFacts {
  const at = c.standsAt === null ? 0 : p.steps.findIndex((s) => s.key === c.standsAt);
  const steps: CourseFacts['steps'] =
    at > 0
      ? Object.fromEntries(p.steps.slice(0, at).map((s) => [s.key, { status: 'dropped' as const }]))
      : { [firstStep(p).key]: { status: 'done' as const, doneOn: c.startedOn } };
  return {
    taxonId: c.taxonId,
    programme: p,
    startedOn: c.startedOn,
    live: c.live,
    steps,
    firstContainer: c.container,
    sizes: [],
    vigour: [],
    maybe: c.maybe,
    own: c.own,
    chilled: c.chilled ?? null,
    schools: { nursery, cohort: c.schools },
  };
}
