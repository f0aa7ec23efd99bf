import type { RootBench, RootRecordRow } from '@gonimos/contract/root-records';
import type { StemRecordRow } from '@gonimos/contract/stem-records';
import { container } from '@gonimos/core/containers';
import { operations } from '@gonimos/core/operations';
import { rootAngle } from '@gonimos/core/programmes';
import { protocolFor } from '@gonimos/core/roots';
import { taxon, toleranceOf } from '@gonimos/core/taxa';
import { percent } from '@gonimos/core/words';
import type { Sql } from '../db/index.ts';
import { readStances } from '../drawings/stances.ts';
import { lastOfEach, readDrawings } from '../drawings/store.ts';
import type { CohortFacts } from '../facts/facts.ts';
import { biteOf } from '../fittings/bites.ts';
import { notFound } from '../http/problem.ts';
import { readyFacts } from '../planning/replan.ts';
import type { House } from '../write/types.ts';
import { readTold } from './store.ts';

/** The next work on roots that the course has. */
const nextRootWork = (sql: Sql, cohortId: string) =>
  sql('course_step')
    .where({ cohortId, lane: 'roots', status: 'planned' })
    .whereNotNull('rootCut')
    .orderBy('seq')
    .first('key', 'title', 'operation', 'opens', 'closes', 'ready', 'rootCut', 'container');

/** Steps of the course that uncover roots, done and to come. */
const readExposures = (sql: Sql, cohortId: string): Promise<RootBench['exposures']> =>
  sql('course_step')
    .where({ cohortId })
    .whereIn('status', ['planned', 'done'])
    .whereIn(
      'operation',
      operations()
        .filter((o) => o.uncovers)
        .map((o) => o.id),
    )
    .orderBy('seq')
    .select('key', 'title', 'opens', 'doneOn');

/** How much may go at the next work on its roots, and why so much. */
function limitOf(
  step: Awaited<ReturnType<typeof nextRootWork>>,
  facts: CohortFacts,
  most: number,
): RootBench['limit'] {
  if (!step?.rootCut)
    return {
      share: most,
      words: `no root work is planned; strong ones of its kind bear ${percent(most)} at once`,
    };
  const { take, limit } = step.rootCut;
  if (facts.steps[step.key]?.lighten)
    return {
      share: take,
      words: `${percent(take)} is to go at ‘${step.title}’: it was lightened by what was found; its reserve then would bear ${percent(limit)}`,
    };
  return { share: limit, words: `${percent(limit)} may go at ‘${step.title}’, by its reserve then` };
}

/** What is drawn and told of a cohort's roots, and what holds for the next work on them. */
export async function readRootBench(
  { db: sql, planning: open }: Pick<House, 'db' | 'planning'>,
  cohortId: string,
): Promise<RootBench> {
  const cohort = await sql('cohort').where({ id: cohortId }).first();
  if (!cohort) throw notFound('cohort');
  const kind = taxon(cohort.taxonId);
  const planning = await open(sql);
  const [facts] = await readyFacts(sql, [cohortId], planning);
  const school = rootAngle(
    { nursery: planning.schools, programme: cohort.programme.schools, cohort: cohort.schools },
    kind.group,
  );
  const step = await nextRootWork(sql, cohortId);
  const limit = limitOf(step, facts, toleranceOf(kind).largestRootCut.value);
  const pot = container(cohort.container);
  return {
    records: await readDrawings<RootRecordRow>(sql, 'root_record', cohortId),
    ...(await readTold(sql, cohortId, cohort.container)),
    school,
    limit,
    step: step
      ? {
          key: step.key,
          title: step.title,
          operation: step.operation,
          opens: step.opens!,
          closes: step.closes!,
          ready: step.ready,
        }
      : null,
    exposures: await readExposures(sql, cohortId),
    container: step?.container ?? cohort.container,
    stems: lastOfEach(await readDrawings<StemRecordRow>(sql, 'stem_record', cohortId)).map(
      ({ label, record, decided }) => ({ label, record, finished: decided.finished ?? null }),
    ),
    stances: await readStances(sql, cohortId),
    heldUntil: biteOf(facts, planning, 'base').due,
    protocol: protocolFor({
      group: kind.group,
      school,
      plug: pot.shared || (pot.wall === 'air-pruning' && pot.litres < 0.5),
      limit: limit.share,
      plants: cohort.live,
    }),
  };
}
