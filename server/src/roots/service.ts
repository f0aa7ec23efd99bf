import type { ChangeRootRecord, NewRootRecord, RootBench } from '@gonimos/contract/root-records';
import { container } from '@gonimos/core/containers';
import { rootAngle } from '@gonimos/core/programmes';
import { protocolFor } from '@gonimos/core/roots';
import { taxon, toleranceOf } from '@gonimos/core/taxa';
import { percent } from '@gonimos/core/words';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import {
  cohortOfRecord,
  insertRootRecord,
  readRootRecords,
  readTold,
  updateRootRecord,
  withdrawRootRecord,
} from './store.ts';

/** The next work on roots that the course has. */
const nextRootWork = (sql: Sql, cohortId: string) =>
  sql('course_step')
    .where({ cohortId, lane: 'roots', status: 'planned' })
    .whereNotNull('rootCut')
    .orderBy('seq')
    .first('key', 'title', 'opens', 'closes', 'ready', 'rootCut', 'container');

/** What is drawn and told of a cohort's roots, and what holds for the next work on them. */
export async function readRootBench(sql: Sql, cohortId: string): Promise<RootBench> {
  const cohort = await sql('cohort').where({ id: cohortId }).first();
  if (!cohort) throw notFound('cohort');
  const kind = taxon(cohort.taxonId);
  const { schools } = await readNursery(sql);
  const school = rootAngle(
    { nursery: schools, programme: cohort.programme.schools, cohort: cohort.schools },
    kind.group,
  );
  const step = await nextRootWork(sql, cohortId);
  const most = toleranceOf(kind).largestRootCut.value;
  const share = step?.rootCut?.limit ?? most;
  const pot = container(cohort.container);
  return {
    records: await readRootRecords(sql, cohortId),
    ...(await readTold(sql, cohortId, cohort.container)),
    school,
    limit: {
      share,
      words: step
        ? `${percent(share)} may go at ‘${step.title}’, by its reserve then`
        : `no root work is planned; strong ones of its kind bear ${percent(most)} at once`,
    },
    step: step
      ? { key: step.key, title: step.title, opens: step.opens!, closes: step.closes!, ready: step.ready }
      : null,
    container: step?.container ?? cohort.container,
    protocol: protocolFor({
      group: kind.group,
      school,
      plug: pot.shared || (pot.wall === 'air-pruning' && pot.litres < 0.5),
      limit: share,
      plants: cohort.live,
    }),
  };
}

async function notBefore({ trx }: Writing, cohortId: string, on: string): Promise<void> {
  await lockCohort(trx, cohortId);
  await notInFuture(trx, 'on', on);
}

export async function addRootRecord(w: Writing, r: NewRootRecord): Promise<Written<{ id: string }>> {
  await notBefore(w, r.cohortId, r.on);
  await insertRootRecord(w.trx, r, w.personId);
  return answering({ id: r.id });
}

export async function changeRootRecord(
  w: Writing,
  id: string,
  r: ChangeRootRecord,
): Promise<Written<{ id: string; version: number }>> {
  await notBefore(w, await cohortOfRecord(w.trx, id), r.on);
  await updateRootRecord(w.trx, id, r);
  return answering({ id, version: r.version + 1 });
}

export async function withdraw(w: Writing, id: string, version: number): Promise<Written<{ id: string }>> {
  await lockCohort(w.trx, await cohortOfRecord(w.trx, id));
  await withdrawRootRecord(w.trx, id, version);
  return answering({ id });
}
