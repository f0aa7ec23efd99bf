import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newObservation, withdrawObservation, type ObservationOutcome } from '@gonimos/contract/observations';
import { toDay, toIso } from '@gonimos/core/calendar';
import type { Moved } from '@gonimos/core/course';
import { mainMarker, OBSERVATIONS } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import { replanSome } from '../course/replan.ts';
import type { Db } from '../db/index.ts';
import { once } from '../http/once.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { notInFuture } from '../nursery/day.ts';
import { readPlace } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { findObservation, insertObservation, readObservations, withdraw } from './store.ts';

const MOST_TOLD = 8;

/** Cohorts a sight bears on: those at the place, and those of the kind anywhere, for the years to come. */
async function touched(db: Db, placeId: string, taxonId: string | null): Promise<string[]> {
  return db('cohort')
    .where('growing', true)
    .where((q) => {
      void q.where('place_id', placeId);
      if (taxonId) void q.orWhere('taxon_id', taxonId);
    })
    .orderBy('id')
    .pluck('id');
}

async function told(
  db: Db,
  moved: Map<string, Moved[]>,
): Promise<Pick<ObservationOutcome, 'cohorts' | 'moved'>> {
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
      ...{ code: codes.get(cohortId) ?? '', title: m.title, days: Math.abs(m.days ?? 0) },
      ...{ wasOpens: m.was.opens, nowOpens: m.now.opens },
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
    handle: async ({ body, person }): Promise<ObservationOutcome> => {
      await notInFuture(app.db, 'on', body.on);
      await once(app.db, body.id, 'observation', body, async (trx) => {
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
        return { id: body.id };
      });
      const cause = `${OBSERVATIONS[body.kind].name} seen`;
      const moved = await replanSome(
        app.db,
        await touched(app.db, body.placeId, body.taxonId ?? null),
        cause,
      );
      return { observation: (await findObservation(app.db, body.id))!, ...(await told(app.db, moved)) };
    },
  });

  route(app, {
    method: 'POST',
    url: '/observations/:id/withdraw',
    role: 'helper',
    summary: 'Takes an observation back; the model speaks again',
    params: object({ id: id() }),
    body: withdrawObservation,
    handle: async ({ params, body, person }) => {
      const seen = await findObservation(app.db, params.id);
      if (!seen) throw notFound('observation');
      await once(app.db, body.id, `withdraw ${params.id}`, body, async (trx) => {
        await withdraw(trx, body.id, seen, person.id);
        return { id: body.id };
      });
      const moved = await replanSome(
        app.db,
        await touched(app.db, seen.placeId, seen.taxonId),
        'an observation was taken back',
      );
      return { observation: seen, ...(await told(app.db, moved)) };
    },
  });
}
