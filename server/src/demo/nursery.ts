import type { Person } from '@gonimos/contract/people';
import { addDays } from '@gonimos/core/calendar';
import type { Trx } from '../db/index.ts';
import { noteMissed } from '../missed/store.ts';
import { findNursery, insertNursery, insertPlace, readNursery } from '../nursery/store.ts';
import { insertPerson, readPerson } from '../people/store.ts';
import { chooseSchools } from '../schools/service.ts';
import { seasonBooks } from '../season/books.ts';
import { extendWeather } from '../simulated/weather.ts';
import type { House } from '../write/types.ts';
import { touching, writeWithin } from '../write/write.ts';
import { giveHours } from '../year/keep.ts';
import { addRoutine } from '../year/routines.ts';
import { cuttings } from './cuttings.ts';
import { fusing } from './fusing.ts';
import { goals } from './goals.ts';
import { named, OPENING_DAY, placeId, type Chapter, type Hand } from './hand.ts';
import { lastDays } from './last-days.ts';
import { mixes } from './mixes.ts';
import { lab } from './lab.ts';
import { layers } from './layers.ts';
import { lives } from './lives.ts';
import { lots } from './seed.ts';
import { roots } from './roots.ts';
import { stems } from './stems.ts';
import { wires } from './wires.ts';
import { sights } from './sights.ts';
import { sowings } from './sowings.ts';
import { NURSERY_SCHOOLS, PEOPLE, PLACES, ROUTINES, SITE, WEATHER_SEED, type DemoPerson } from './stage.ts';

/** The story of Tessary Bank, a chapter for each subject. A new subject adds its own. */
const CHAPTERS: readonly Chapter[] = [
  lives,
  lots,
  goals,
  sights,
  sowings,
  cuttings,
  layers,
  roots,
  stems,
  wires,
  lab,
  mixes,
  lastDays,
  fusing,
];

/** What moves from this day on is news to whoever opens the demo. */
const NEWS_FROM = addDays(OPENING_DAY, -4);

/** The nursery, who works there and its places; nothing grows yet. */
async function ground(trx: Trx): Promise<void> {
  await insertNursery(trx, {
    ...SITE,
    id: named('nursery'),
    name: 'Tessary Bank',
    demoToday: OPENING_DAY,
    weatherSeed: WEATHER_SEED,
  });
  await extendWeather(trx, await readNursery(trx), OPENING_DAY);
  for (const { name, role } of PEOPLE)
    await insertPerson(trx, { id: named(`person ${name}`), name, role, passwordHash: null });
  for (const p of PLACES) await insertPlace(trx, { light: 'full', ...p, id: placeId(p.name) });
}

async function handOf(trx: Trx): Promise<Hand> {
  const books = await seasonBooks(trx);
  const people = new Map<DemoPerson, Person>();
  for (const { name } of PEOPLE) people.set(name, await readPerson(trx, named(`person ${name}`)));
  return { person: (name) => people.get(name)!, bookOf: (place) => books.get(placeId(place))! };
}

/** Loads the demo nursery into an empty database; does nothing when a nursery is there. */
export async function loadDemo(house: House, say: (text: string) => void = () => undefined): Promise<void> {
  if (await findNursery(house.db)) return;
  await house.db.transaction(async (trx) => {
    await ground(trx);
    const h = await handOf(trx);
    const ines = h.person('Ines Tessary');
    for (const { name, hours, skilled } of PEOPLE)
      await writeWithin(house, trx, ines, (w) =>
        giveHours(w, h.person(name).id, { id: named(`hours ${name}`), hours, skilled, version: 1 }),
      );
    await writeWithin(house, trx, ines, (w) =>
      chooseSchools(w, { id: named('schools'), schools: NURSERY_SCHOOLS, version: 1 }),
    );
    for (const r of ROUTINES)
      await writeWithin(house, trx, ines, (w) =>
        addRoutine(w, {
          ...r,
          id: named(`routine ${r.what} ${r.place}`),
          placeId: r.place && placeId(r.place),
        }),
      );
    const requests = CHAPTERS.flatMap((chapter) => chapter(h)).sort((a, b) => a.on.localeCompare(b.on));
    const news = requests.findIndex((r) => r.on >= NEWS_FROM);
    for (const [i, r] of requests.entries()) {
      // what moved while the notebooks were copied is no news to anybody
      if (i === news) await trx('plan_change').delete();
      await writeWithin(house, trx, h.person(r.by), r.act);
      if (i % 40 === 39) say(`  ${i + 1} of ${requests.length} pages of the notebooks, up to ${r.on}`);
    }
    // what nobody wrote down of the last weeks waits for a word
    await noteMissed(trx, OPENING_DAY);
    await writeWithin(house, trx, ines, () =>
      Promise.resolve(touching('all', 'the notebooks are copied', null)),
    );
  });
}
