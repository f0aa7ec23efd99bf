import { randomUUID } from 'node:crypto';
import type { NewCohort } from '@gonimos/contract/cohorts';
import { firstStep, programme } from '@gonimos/core/programmes';
import type { Site } from '@gonimos/core/season';
import { enterCohort } from '../cohorts/service.ts';
import { findNursery, insertNursery, insertPlace, readNursery } from '../nursery/store.ts';
import { insertLines } from '../records/store.ts';
import type { House } from '../write/types.ts';
import { writeWithin } from '../write/write.ts';
import { insertPerson } from '../people/store.ts';
import { seasonBooks } from '../season/books.ts';
import { COHORTS } from './cohorts.ts';
import { NURSERY_SCHOOLS, PLACES } from './stage.ts';
import { liveThrough } from './history.ts';
import { lastWeeks, pastObservations } from './last-weeks.ts';
import { propagate } from './propagation.ts';
import { extendWeather } from '../simulated/weather.ts';

/** Tessary Bank: an invented growing ground on an invented hill. */
export const OPENING_DAY = '2037-03-09';
/** chosen for a mild winter with a cold snap on the opening day: buds about to move, frost on fresh roots */
const WEATHER_SEED = 111;
const SITE: Site = {
  latitude: 43.2,
  longitude: -1.4,
  elevation: 310,
  timeZone: 'Europe/Paris',
  tmin: [1.1, 1.2, 2.9, 5.0, 8.3, 11.4, 13.5, 13.3, 10.9, 7.9, 4.1, 1.9],
  tmax: [8.6, 9.6, 12.8, 15.2, 18.9, 22.4, 25.0, 24.8, 21.5, 17.0, 12.0, 9.0],
  spreadWinter: 3.0,
  spreadSummer: 2.3,
};

const PEOPLE = [
  ['Ines Tessary', 'owner', 6, true],
  ['Bruno Tessary', 'grower', 14, true],
  ['Alma Reed', 'helper', 12, false],
] as const;

/** Loads the demo nursery into an empty database; does nothing when a nursery is there. */
export async function loadDemo(house: House, say: (text: string) => void = () => undefined): Promise<void> {
  const { db } = house;
  if (await findNursery(db)) return;
  await db.transaction(async (trx) => {
    await insertNursery(trx, {
      ...SITE,
      id: randomUUID(),
      name: 'Tessary Bank',
      demoToday: OPENING_DAY,
      weatherSeed: WEATHER_SEED,
    });
    await extendWeather(trx, await readNursery(trx), OPENING_DAY);
    const people = PEOPLE.map(([name, role, hours, skilled]) => ({
      id: randomUUID(),
      name,
      role,
      passwordHash: null,
      hours,
      skilled,
    }));
    for (const { hours, skilled, ...p } of people) {
      await insertPerson(trx, p);
      await trx('person').where({ id: p.id }).update({ hours, skilled });
    }
    await trx('nursery').update({ schools: JSON.stringify(NURSERY_SCHOOLS) });
    const places = new Map<string, string>();
    for (const p of PLACES) {
      const id = randomUUID();
      await insertPlace(trx, { light: 'full', ...p, id });
      places.set(p.name, id);
    }
    await pastObservations(trx, places, people[1].id);
    const books = await seasonBooks(trx);
    for (const spec of COHORTS) {
      const id = randomUUID();
      const placeId = places.get(spec.place)!;
      const entered: NewCohort = {
        id,
        code: spec.code,
        taxonId: spec.taxonId,
        programmeId: spec.programmeId,
        placeId,
        container: firstStep(programme(spec.programmeId)).container ?? 'seed-flat',
        started: spec.started,
        count: spec.count,
        goalCaliper: spec.goalCaliper,
        goal: '',
        maybe: [],
        note: spec.note,
        parentId: null,
        schools: {},
        standsAt: null,
        goalId: null,
        lotId: null,
        hostId: null,
        origin: spec.origin ?? null,
      };
      await writeWithin(house, trx, { ...people[0], version: 1 }, (w) => enterCohort(w, entered));
      await liveThrough(house, trx, id, spec, books.get(placeId)!, OPENING_DAY, people[1].id);
      if (spec.missed)
        await insertLines(trx, [
          {
            ...spec.missed,
            id: randomUUID(),
            cohortId: id,
            kind: 'put off',
            stepKey: spec.missed.key,
            personId: people[1].id,
          },
        ]);
      if (spec.vigour)
        await insertLines(trx, [
          {
            id: randomUUID(),
            cohortId: id,
            kind: 'look',
            stepKey: null,
            on: spec.vigour.on,
            note: 'Short growth, pale, little of it hardened.',
            personId: people[1].id,
            details: { looks: { vigour: spec.vigour.value, lowGrowth: null, buds: null, again: null } },
          },
        ]);
      say(`  ${spec.code} lived through its years`);
    }
    await propagate(
      house,
      trx,
      places,
      people.map((p) => ({ ...p, version: 1 })),
    );
  });
  await db.transaction((trx) => house.plan(trx, 'all', 'the demo opened'));
  await db('plan_change').where({ cause: 'the demo opened' }).delete();
  await lastWeeks(house, OPENING_DAY);
}
