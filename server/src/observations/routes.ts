import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newObservation, withdrawObservation, type ObservationOutcome } from '@gonimos/contract/observations';
import { toDay, toIso } from '@gonimos/core/calendar';
import { mainMarker, OBSERVATIONS } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import type { Planned } from '../write/types.ts';
import { notInFuture } from '../nursery/day.ts';
import { readPlace } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { findObservation, insertObservation, readObservations, withdraw } from '../season/observations.ts';

const MOST_TOLD = 8;

/** Cohorts a sight bears on: those at the place, and those of the kind anywhere, for the years to come. */
async function touched(db: Sql, placeId: string, taxonId: string | null): Promise<string[]> {
  return db('cohort')
    .where('growing', true)
    .where((q) => {
      void q.where('place_id', placeId);
      if (taxonId) void q.orWhere('taxon_id', taxonId);
    })
    .orderBy('id')
    .pluck('id');
}

async function told(db: Sql, moved: Planned): Promise<Pick<ObservationOutcome, 'cohorts' | 'moved'>> {
  const some = [...moved].filter(([, m]) => m.length > 0);
  const ids = some.map(([cohortId]) => cohortId);
  const codes = new Map<string, string>(
    (await db('cohort').whereIn('id', ids).select('id', 'code')).map((c: { id: string; code: string }) => [
      c.id,
      c.code,
    ]),
  );
  const lines = some.flatMap(([cohortId, steps]) =>
    steps.slice(0, 1).map((m) => ({
      code: codes.get(cohortId) ?? '',
      title: m.title,
      days: Math.abs(m.days ?? 0),
      wasOpens: m.was.opens,
      nowOpens: m.now.opens,
    })),
  );
  lines.sort((a, b) => b.days - a.days);
  return { cohorts: some.length, moved: lines.slice(0, MOST_TOLD).map(({ days: _d, ...l }) => l) };
}

export function observationRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/observations',
    role: 'helper',
    summary: 'What was seen of the season, oldest first',
    handle: () => readObservations(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/observations',
    role: 'helper',
    summary: 'Something seen today: fixes this year’s marker at the place and plans again what hangs on it',
    body: newObservation,
    handle: ({ body, person }): Promise<ObservationOutcome> =>
      write(app, { id: body.id, what: 'observation', body, person }, async ({ trx }) => {
        await notInFuture(trx, 'on', body.on);
        await readPlace(trx, body.placeId);
        const book = (await seasonBooks(trx)).get(body.placeId)!;
        const season = book.seasonOf(toDay(body.on));
        const kind = body.taxonId ? taxon(body.taxonId) : { id: '', phenology: 'standard' as const };
        const m = book.marker(mainMarker(body.kind), season, kind);
        if (m.kind === 'no-marker' && body.taxonId)
          throw wrongField('kind', `is not watched for on this kind: ${m.why}`);
        // what the model said before anyone looked is what it is held against
        const expected = m.kind === 'days' && !m.seen ? toIso(m.p50) : null;
        await insertObservation(trx, body, season, expected, person.id);
        const bearsOn = await touched(trx, body.placeId, body.taxonId ?? null);
        const observation = (await findObservation(trx, body.id))!;
        return {
          touched: bearsOn,
          cause: `${OBSERVATIONS[body.kind].name} seen`,
          answer: async (planned) => ({ observation, ...(await told(trx, planned)) }),
        };
      }),
  });

  route(app, {
    method: 'POST',
    url: '/observations/:id/withdraw',
    role: 'helper',
    summary: 'Takes an observation back; the model speaks again',
    params: object({ id: id() }),
    body: withdrawObservation,
    handle: ({ params, body, person }) =>
      write(app, { id: body.id, what: `withdraw ${params.id}`, body, person }, async ({ trx }) => {
        const seen = await findObservation(trx, params.id);
        if (!seen) throw notFound('observation');
        await withdraw(trx, body.id, seen, person.id);
        const bearsOn = await touched(trx, seen.placeId, seen.taxonId);
        return {
          touched: bearsOn,
          cause: 'an observation was taken back',
          answer: async (planned) => ({ observation: seen, ...(await told(trx, planned)) }),
        };
      }),
  });
}
