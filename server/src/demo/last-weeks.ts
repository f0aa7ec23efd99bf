import { randomUUID } from 'node:crypto';
import type { Person } from '@gonimos/contract/people';
import type { NewVisit } from '@gonimos/contract/visits';
import { addDays, toIso } from '@gonimos/core/calendar';
import { taxon } from '@gonimos/core/taxa';
import { Leveller } from '@gonimos/core/year';
import type { Db, Sql } from '../db/index.ts';
import { insertObservation } from '../season/observations.ts';
import { seasonBooks } from '../season/books.ts';
import { readYear } from '../year/service.ts';
import { writeWeeks } from '../year/store.ts';
import { recordVisit } from '../visits/service.ts';
import type { House } from '../write/types.ts';
import { writeWithin } from '../write/write.ts';
import type { DemoPlace } from './stage.ts';

/** Hornbeam runs late here and field maple early: what four springs of looking have taught. */
const HABITS = [
  ['carpinus-betulus', 'North bench', 6],
  ['acer-campestre', 'South bench', -5],
] as const;
const WOBBLE = [2, -3, 1, 0];

export async function pastObservations(
  sql: Sql,
  places: Map<string, string>,
  personId: string,
): Promise<void> {
  const books = await seasonBooks(sql);
  for (const [taxonId, place, runs] of HABITS)
    for (let i = 0; i < WOBBLE.length; i++) {
      const placeId = places.get(place)!;
      const m = books.get(placeId)!.marker('bud-swell', 2033 + i, taxon(taxonId));
      if (m.kind === 'no-marker') continue;
      const on = toIso(m.p50 + runs + WOBBLE[i]);
      const seen = { id: randomUUID(), placeId, taxonId, kind: 'buds-swelling' as const, on, note: '' };
      await insertObservation(sql, seen, 2033 + i, toIso(m.p50), personId);
    }
}

interface Cohort {
  id: string;
  next: string | null;
}

/** The next open root work of a cohort, for a visit to be about. */
async function cohortOf(db: Db, code: string): Promise<Cohort> {
  const { id } = await db('cohort').where({ code }).first('id');
  const step = await db('course_step')
    .where({ cohort_id: id, status: 'planned', lane: 'roots' })
    .whereNull('chain')
    .orderBy('seq')
    .first('key');
  return { id, next: step?.key ?? null };
}

/** What happened in the days before the demo opens: tips seen, surprises on opening, a count, a levelled year. */
export async function lastWeeks(house: House, opening: string): Promise<void> {
  const { db } = house;
  const [ines, bruno]: Person[] = await db('person')
    .orderByRaw("role = 'owner' DESC, role = 'grower' DESC")
    .select('id', 'name', 'role', 'version');
  const place = async (name: DemoPlace): Promise<string> =>
    (await db('place').where({ name }).first('id')).id;

  const south = await place('South bench');
  const book = (await seasonBooks(db)).get(south)!;
  const maple = taxon('pinus-sylvestris');
  const m = book.marker('bud-swell', book.seasonOf(Date.parse(opening) / 86_400_000), maple);
  await insertObservation(
    db,
    {
      id: randomUUID(),
      placeId: south,
      taxonId: maple.id,
      kind: 'white-tips',
      on: addDays(opening, -4),
      note: 'Tips at the holes of three pots.',
    },
    Number(opening.slice(0, 4)),
    m.kind === 'days' ? toIso(m.p50) : null,
    bruno.id,
  );
  await db.transaction((trx) => house.plan(trx, 'all', 'white root tips seen'));

  const visits: [code: string, visit: Partial<NewVisit>][] = [
    [
      'FM-30',
      {
        found: ['mat-below', 'few-roots'],
        decision: 'lighten',
        note: 'Solid under the rim, loose above: dried out last August.',
      },
    ],
    ['BT-36', { found: ['pests'], decision: 'quarantine', note: 'Root aphid on two of the first five.' }],
  ];
  for (const [code, v] of visits) {
    const c = await cohortOf(db, code);
    const visit: NewVisit = {
      id: randomUUID(),
      cohortId: c.id,
      stepKey: v.decision === 'lighten' ? c.next : null,
      on: addDays(opening, -3),
      found: [],
      decision: 'carry-on',
      container: null,
      taxonId: null,
      note: '',
      ...v,
    };
    await db.transaction((trx) => writeWithin(house, trx, ines, (w) => recordVisit(w, visit)));
  }
  await db('container_stock').insert([
    {
      container: 'basket-18',
      counted: 120,
      counted_on: opening,
      counted_seq: 1e12,
      arriving: 150,
      arrives: addDays(opening, 12),
    },
    { container: 'basket-25', counted: 60, counted_on: opening, counted_seq: 1e12 },
  ]);
  await levelled(house);
}

/** The weeks ahead, levelled as somebody would have done on the evening before. */
async function levelled({ db, plan: again }: House): Promise<void> {
  const { problem, lines, weeks } = await readYear(db, 52);
  const leveller = new Leveller(problem);
  leveller.first();
  const plan = leveller.improve(60_000);
  const week = new Map(plan.placed.map((p) => [p.id, p]));
  await writeWeeks(
    db,
    lines.map((l) => {
      const { week: w, later } = week.get(l.id)!;
      return { cohort_id: l.cohortId, key: l.key, week: weeks[w], later, locked: false };
    }),
  );
  const ids = [...new Set(lines.map((l) => l.cohortId))];
  await db.transaction((trx) => again(trx, ids, 'the year was levelled'));
}
