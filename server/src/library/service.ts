import type {
  ProgrammeVersion,
  RetargetAnswer,
  RetargetCohort,
  SaveProgramme,
} from '@gonimos/contract/library';
import type { Outcome } from '@gonimos/contract/outcome';
import { changeOfCourse } from '@gonimos/core/course';
import { operation } from '@gonimos/core/operations';
import { faultsOf, retarget, type Programme } from '@gonimos/core/programmes';
import { audit } from '../audit/store.ts';
import type { StepMap } from '../facts/facts.ts';
import type { Planning } from '../facts/source.ts';
import { compileFor, readyFacts } from '../planning/replan.ts';
import { sure } from '../db/sure.ts';
import type { Sql, Trx } from '../db/index.ts';
import { Refusal } from '../http/problem.ts';
import { onCohort } from '../course/outcome.ts';
import type { Writing, Written } from '../write/types.ts';
import { lockCohort } from '../write/lock.ts';
import { insertProgramme, type NextVersion } from './store.ts';

/** Checks what somebody wrote by the core's own rules and keeps it as the next version. */
export async function keepProgramme(
  trx: Trx,
  s: NextVersion,
  written: SaveProgramme['programme'] | Omit<Programme, 'id'>,
  personId: string,
) {
  const p = { ...(JSON.parse(JSON.stringify(written)) as Omit<Programme, 'id'>), id: s.programmeId };
  const faults = faultsOf(p);
  if (faults.length > 0)
    throw new Refusal(
      'cannot-be-followed',
      faults.map((f) => `${f.step ?? 'programme'}: ${f.text}`).join('; '),
      {
        errors: faults.map((f) => {
          const at = p.steps.findIndex((x) => x.key === f.step);
          return { field: at < 0 ? 'programme' : `programme.steps[${at}]`, reason: f.text };
        }),
      },
    );
  const version = await insertProgramme(trx, s, p, personId);
  await audit(trx, personId, 'programme', `‘${p.name}’, version ${version}, was kept`);
  return { id: s.programmeId, version };
}

/** A programme a cohort is carried to. */
export type Target = Pick<ProgrammeVersion, 'programme' | 'version'>;

async function plan(sql: Sql, planning: Planning, cohortId: string, to: Target) {
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const cohort = await sure(sql('cohort').where({ id: cohortId }).first('programmeVersion', 'stepMaps'));
  const done = facts.programme.steps
    .filter((s) => ['done', 'dropped'].includes(facts.steps[s.key]?.status ?? ''))
    .map((s) => s.key);
  const like = retarget(facts.programme, done, to.programme);
  const before = compileFor(facts, planning);
  const kept = Object.entries(like.keys);
  const steps: typeof facts.steps = {};
  for (const s of to.programme.steps) {
    if (s.key === like.standsAt) break;
    steps[s.key] = { status: 'dropped' };
  }
  for (const [was, now] of kept) steps[now] = facts.steps[was];
  const after = compileFor({ ...facts, programme: to.programme, steps }, planning);
  return { facts, cohort, like, kept, change: changeOfCourse(before, after) };
}

/** What carrying a cohort to another programme or version would change; nothing is written. */
export async function tryRetarget(
  sql: Sql,
  planning: Planning,
  cohortId: string,
  to: Target,
): Promise<RetargetAnswer> {
  const { facts, cohort, like, kept, change } = await plan(sql, planning, cohortId, to);
  const title = (p: Programme, key: string) => {
    const s = p.steps.find((x) => x.key === key)!;
    return s.title ?? operation(s.operation).name;
  };
  return {
    from: { name: facts.programme.name, version: cohort.programmeVersion },
    to: { name: to.programme.name, version: to.version },
    standsAt: like.standsAt,
    kept: kept.map(([, now]) => title(to.programme, now)),
    leftOut: like.leftOut.map((key) => title(to.programme, key)),
    change,
  };
}

/** Carries a cohort over: what was done stays done under its like, the rest is planned anew. */
export async function retargetCohort(
  { trx, planning }: Writing,
  r: Omit<RetargetCohort, 'programmeId'>,
  to: Target,
): Promise<Written<Outcome>> {
  await lockCohort(trx, r.cohortId);
  const { facts, cohort, like } = await plan(trx, await planning(), r.cohortId, to);
  const last = await trx('record').where({ cohortId: r.cohortId }).max({ seq: 'seq' }).first();
  const keys = Object.fromEntries(facts.programme.steps.map((s) => [s.key, like.keys[s.key] ?? '']));
  const maps: StepMap[] = [...cohort.stepMaps, { upTo: Number(last?.seq ?? 0), keys }];
  await trx('cohort')
    .where({ id: r.cohortId })
    .update({
      programmeId: to.programme.id,
      programmeVersion: to.version,
      standsAt: like.standsAt,
      programme: JSON.stringify(to.programme),
      stepMaps: JSON.stringify(maps),
      ...(r.goalCaliper === null ? {} : { goalCaliper: r.goalCaliper }),
      ...(r.goal ? { goal: r.goal } : {}),
      version: trx.raw('version + 1'),
    });
  await trx('year_week').where({ cohortId: r.cohortId }).delete();
  return onCohort(trx, r.cohortId, r.id, `it was moved to ‘${to.programme.name}’, version ${to.version}`);
}
