import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newEntry, reverseEntry, type NewEntry } from '@gonimos/contract/ledger';
import { lockCohort, lockCohorts } from '../write/lock.ts';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { onCohort } from '../course/outcome.ts';
import { askBack } from '../http/meant.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { notInFuture } from '../nursery/day.ts';
import { cohortOfEntry, cohortsOfEntry, insertEntries, readLedger, reverseEntries } from './store.ts';

const params = object({ id: id() });

/** The damage a cull goes back to is told in the same ledger. */
async function damageOf(sql: Sql, cohortId: string, e: NewEntry): Promise<void> {
  if (!e.damageId) return;
  if (e.type !== 'culled') throw wrongField('damageId', 'goes with a cull only');
  const told = await sql('ledger_entry').where({ id: e.damageId }).first('cohortId', 'type');
  if (told?.cohortId !== cohortId || told.type === 'reversed')
    throw wrongField('damageId', 'is no entry of this ledger');
}

/** A count that finds this many times as many plants as stood there is a slip more often than not. */
const MANY_MORE = 3;
const AT_LEAST = 20;

const doubtOf = (e: NewEntry, live: number): string | null =>
  e.type === 'recount' && e.count > Math.max(MANY_MORE * live, live + AT_LEAST)
    ? `${e.count} were found where ${live} stood`
    : null;

export function ledgerRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/ledger',
    role: 'helper',
    summary: 'The ledger of a cohort, oldest entry first',
    params,
    handle: ({ params: p }) => readLedger(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/ledger',
    role: 'helper',
    summary: 'Adds one entry by hand',
    params,
    body: newEntry,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `ledger ${p.id}`, body, person }, async ({ trx }) => {
        const { live } = await lockCohort(trx, p.id);
        askBack(doubtOf(body, live), body.meant);
        await notInFuture(trx, 'on', body.on);
        await damageOf(trx, p.id, body);
        const { meant: _, ...entry } = body;
        await insertEntries(trx, [{ ...entry, cohortId: p.id, personId: person.id }]);
        return onCohort(trx, p.id, body.id, 'a ledger entry');
      }),
  });

  route(app, {
    method: 'POST',
    url: '/ledger/:id/reverse',
    role: 'grower',
    summary: 'Undoes one entry by a reversal that points at it',
    params,
    body: reverseEntry,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `reverse ${p.id}`, body, person }, async ({ trx }) => {
        await lockCohorts(trx, await cohortsOfEntry(trx, p.id));
        const touched = await reverseEntries(trx, body.id, p.id, person.id, body.note);
        const own = await cohortOfEntry(trx, p.id);
        return onCohort(trx, own, body.id, 'a reversal', touched);
      }),
  });
}
