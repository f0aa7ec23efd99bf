import type { NewObservation, ObservationOutcome } from '@gonimos/contract/observations';
import { toDay, toIso } from '@gonimos/core/calendar';
import { mainMarker, OBSERVATIONS } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import type { Sql } from '../db/index.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { notInFuture } from '../nursery/day.ts';
import { readPlace } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { findObservation, insertObservation, withdraw } from '../season/observations.ts';
import type { Planned, Writing, Written } from '../write/types.ts';

const MOST_TOLD = 8;

/** Cohorts a sight bears on: those at the place, and those of the kind anywhere, for the years to come. */
async function touched(db: Sql, placeId: string, taxonId: string | null): Promise<string[]> {
  return db('cohort')
    .where('growing', true)
    .where((q) => {
      void q.where('placeId', placeId);
      if (taxonId) void q.orWhere('taxonId', taxonId);
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

/** Takes down something seen of the season: this year's marker at the place is fixed by it. */
export async function observe(
  { trx, personId }: Writing,
  seen: NewObservation,
): Promise<Written<ObservationOutcome>> {
  await notInFuture(trx, 'on', seen.on);
  await readPlace(trx, seen.placeId);
  const book = (await seasonBooks(trx)).get(seen.placeId)!;
  const season = book.seasonOf(toDay(seen.on));
  const kind = seen.taxonId ? taxon(seen.taxonId) : { id: '', phenology: 'standard' as const };
  const m = book.marker(mainMarker(seen.kind), season, kind);
  if (m.kind === 'no-marker' && seen.taxonId)
    throw wrongField('kind', `is not watched for on this kind: ${m.why}`);
  // what the model said before anyone looked is what it is held against
  const expected = m.kind === 'days' && !m.seen ? toIso(m.p50) : null;
  await insertObservation(trx, seen, season, expected, personId);
  const bearsOn = await touched(trx, seen.placeId, seen.taxonId ?? null);
  const observation = (await findObservation(trx, seen.id))!;
  return {
    touched: bearsOn,
    cause: `${OBSERVATIONS[seen.kind].name} seen`,
    answer: async (planned) => ({ observation, ...(await told(trx, planned)) }),
  };
}

/** Takes an observation back; the model speaks again. */
export async function takeBackObservation(
  { trx, personId }: Writing,
  id: string,
  observationId: string,
): Promise<Written<ObservationOutcome>> {
  const seen = await findObservation(trx, observationId);
  if (!seen) throw notFound('observation');
  await withdraw(trx, id, seen, personId);
  const bearsOn = await touched(trx, seen.placeId, seen.taxonId);
  return {
    touched: bearsOn,
    cause: 'an observation was taken back',
    answer: async (planned) => ({ observation: seen, ...(await told(trx, planned)) }),
  };
}
