import { randomUUID } from 'node:crypto';
import type { NewCohort } from '@gonimos/contract/cohorts';
import type { NewLayerEvent } from '@gonimos/contract/layers';
import type { Person } from '@gonimos/contract/people';
import type { LayerEventKind } from '@gonimos/core/layers';
import { random, seedFrom } from '@gonimos/core/random';
import type { CellState } from '@gonimos/core/trays';
import { enterCohort, promote } from '../cohorts/service.ts';
import { checkCuttings } from '../cuttings/service.ts';
import type { Trx } from '../db/index.ts';
import { layerEvent, makeLayers } from '../layers/service.ts';
import { insertLot, insertProtection, insertSeedEvent } from '../seed/store.ts';
import { insertGoal } from '../starts/goals.ts';
import { addTray, markCells } from '../trays/service.ts';
import type { House, Writing, Written } from '../write/types.ts';
import { writeWithin } from '../write/write.ts';
import type { DemoPlace } from './stage.ts';
import { pastTrays } from './past-trays.ts';

interface Hand {
  trx: Trx;
  /** writes as a request of this person would */
  write: (person: Person, act: (w: Writing) => Promise<Written<unknown>>) => Promise<unknown>;
  place: (name: DemoPlace) => string;
  ines: Person;
  bruno: Person;
  idOf: (code: string) => Promise<string>;
}

/** Cohorts by the parent they came from: privet over three generations. */
const PARENT_OF = { 'OP-34': 'OP-28', 'OP-36': 'OP-34', 'HB-36': 'HB-05', 'HB-33': 'HB-05' };

/** Cohorts of years before by the lot they were sown from. */
const LOT_OF = { 'HB-36': 'Long hedge 35', 'FM-35': 'Roadside maple 34', 'FM-36': 'Hedge maple 35' };

const LOTS = [
  ['Long hedge 35', 'carpinus-betulus', 'HB-05', 'autumn 2035', '2035-10-18', 320, 'moist in the fridge'],
  ['Long hedge 36', 'carpinus-betulus', 'HB-05', 'autumn 2036', '2036-10-20', 900, 'moist in the fridge'],
  ['Cornelian 36', 'cornus-mas', null, '2036-09-12', '2036-09-12', 240, 'moist in the fridge'],
  ['Jasmine berries 37', 'murraya-paniculata', null, '2037-01-28', '2037-01-28', 130, 'not stored'],
  ['Roadside maple 34', 'acer-campestre', null, 'autumn 2034', '2034-10-07', 360, 'cool and dry'],
  ['Hedge maple 35', 'acer-campestre', null, 'autumn 2035', '2035-10-02', 220, 'moist in the fridge'],
  ['Roadside maple 36', 'acer-campestre', null, 'autumn 2036', '2036-10-05', 500, 'cool and dry'],
] as const;

async function seed(h: Hand): Promise<Map<string, string>> {
  const ids = new Map<string, string>();
  for (const [name, taxonId, parent, harvested, from, seeds, storage] of LOTS) {
    const id = randomUUID();
    ids.set(name, id);
    const parentId = parent === null ? null : await h.idOf(parent);
    const source = parent === null ? 'wild trees on the hill' : 'the long hedge';
    const lot = { id, name, taxonId, source, parentId, harvested, seeds, storage, price: null };
    await insertLot(h.trx, { ...lot, handling: '', note: '' }, from);
  }
  const NOTHING = { tested: null, sound: null, seeds: null, note: '' };
  const told = (lot: string, kind: 'test' | 'to warm' | 'to cold' | 'out', on: string, more = {}) =>
    insertSeedEvent(h.trx, ids.get(lot)!, { ...NOTHING, id: randomUUID(), kind, on, ...more }, h.bruno.id);
  await told('Long hedge 36', 'test', '2036-11-08', { tested: 50, sound: 38, note: 'Cut open.' });
  await told('Long hedge 36', 'to cold', '2036-11-10');
  await told('Long hedge 36', 'out', '2037-03-06', { seeds: 315 });
  await told('Cornelian 36', 'to warm', '2036-09-20');
  await told('Cornelian 36', 'to cold', '2036-12-20');
  return ids;
}

const started = (h: Hand, c: Partial<NewCohort> & Pick<NewCohort, 'code' | 'taxonId' | 'programmeId'>) => ({
  id: randomUUID(),
  placeId: h.place('Cold frame'),
  container: 'seed-flat',
  started: '',
  count: 1,
  goal: '',
  goalCaliper: null,
  note: '',
  parentId: null,
  schools: {},
  standsAt: null,
  goalId: null,
  lotId: null,
  hostId: null,
  maybe: [],
  origin: null,
  ...c,
});

async function goals(h: Hand): Promise<Map<string, string>> {
  const ids = new Map<string, string>();
  const cost = { centsEach: 5, wage: 1500 };
  const want = async (name: string, g: object) => {
    const id = randomUUID();
    ids.set(name, id);
    const usual = { id, placeId: h.place('Cold frame'), confidence: 0.9, most: 800, cost, note: '' };
    await insertGoal(h.trx, { ...usual, ...g } as Parameters<typeof insertGoal>[1], h.ines.id);
  };
  const hornbeam = { taxonId: 'carpinus-betulus', programmeId: 'seed-broadleaf' };
  await want('hornbeam', { ...hornbeam, stage: 'corrected', wanted: 90, byYear: 2039 });
  const privet = { taxonId: 'ligustrum-ovalifolium', programmeId: 'cutting-broadleaf' };
  await want('privet', { ...privet, stage: 'single', wanted: 60, byYear: 2038 });
  const jasmine = { taxonId: 'murraya-paniculata', programmeId: 'seed-broadleaf' };
  await want('jasmine', {
    ...jasmine,
    stage: 'showing',
    wanted: 40,
    byYear: 2037,
    placeId: h.place('Heated house'),
  });
  return ids;
}

const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);

/** Two sowings of this spring: jasmine part up in the house, hornbeam just sown and found by mice. */
async function sowings(h: Hand, lots: Map<string, string>, goal: Map<string, string>): Promise<void> {
  const jasmine = started(h, {
    code: 'OJ-37',
    taxonId: 'murraya-paniculata',
    programmeId: 'seed-broadleaf',
    count: 105,
    placeId: h.place('Heated house'),
    started: '2037-02-06',
    lotId: lots.get('Jasmine berries 37')!,
    goalId: goal.get('jasmine')!,
    note: 'Berries washed and sown the same week.',
  });
  const hornbeam = started(h, {
    code: 'HB-37',
    taxonId: 'carpinus-betulus',
    programmeId: 'seed-broadleaf',
    count: 315,
    started: '2037-03-06',
    lotId: lots.get('Long hedge 36')!,
    goalId: goal.get('hornbeam')!,
    parentId: await h.idOf('HB-05'),
    note: 'Chitted in the bag, sown one to a cell.',
  });
  for (const c of [jasmine, hornbeam]) await h.write(h.bruno, (w) => enterCohort(w, c));
  const tray = async (cohortId: string, name: string) => {
    const id = randomUUID();
    await h.write(h.bruno, (w) => addTray(w, cohortId, { id, name, rows: 7, columns: 15, fill: 105 }));
    return id;
  };
  const mark = (
    t: string,
    cells: number[],
    now: CellState,
    on: string,
    was: CellState = 'sown',
    cause: string | null = null,
  ) =>
    h.write(h.bruno, (w) =>
      markCells(w, t, {
        id: randomUUID(),
        on,
        cause,
        marks: cells.map((cell) => ({ cell, was, now })),
      }),
    );
  const rng = random(seedFrom('OJ-37'));
  const shuffled = range(0, 105)
    .map((cell) => [rng.next(), cell] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, cell]) => cell);
  const j = await tray(jasmine.id, 'A');
  await mark(j, shuffled.slice(0, 11), 'up', '2037-02-26');
  await mark(j, shuffled.slice(11, 30), 'up', '2037-03-01');
  await mark(j, shuffled.slice(30, 46), 'up', '2037-03-04');
  await mark(j, shuffled.slice(46, 53), 'up', '2037-03-07');
  await mark(j, shuffled.slice(53, 56), 'twin', '2037-03-07');
  await mark(j, shuffled.slice(4, 7), 'lost', '2037-03-07', 'up', 'damping off');
  await insertProtection(
    h.trx,
    jasmine.id,
    { id: randomUUID(), kind: 'glass', clearance: 70, from: '2037-02-06', note: 'lifted at noon' },
    h.bruno.id,
  );
  for (const name of ['A', 'B', 'C']) {
    const t = await tray(hornbeam.id, name);
    if (name === 'B') await mark(t, [...range(60, 67), ...range(75, 80)], 'eaten', '2037-03-08');
  }
}

/** Yew with callus only since the autumn, jasmine cuttings whose second look is due. */
async function cuttings(h: Hand, goal: Map<string, string>): Promise<void> {
  const yew = started(h, {
    code: 'YW-36',
    taxonId: 'taxus-baccata',
    programmeId: 'cutting-conifer',
    count: 90,
    started: '2036-07-04',
    container: 'cutting-tray',
    note: 'Heel cuttings off the old hedge.',
  });
  const jasmine = started(h, {
    code: 'OJ-36',
    taxonId: 'murraya-paniculata',
    programmeId: 'cutting-broadleaf',
    count: 64,
    started: '2036-11-24',
    container: 'cutting-tray',
    placeId: h.place('Heated house'),
    parentId: await h.idOf('OJ-35'),
    note: 'Off the cut-back of the November.',
  });
  const privet = started(h, {
    code: 'OP-36H',
    taxonId: 'ligustrum-ovalifolium',
    programmeId: 'cutting-pencil',
    count: 50,
    started: '2036-12-12',
    container: 'cutting-tray',
    parentId: await h.idOf('OP-28'),
    goalId: goal.get('privet')!,
    note: 'Pencil-thick, leafless.',
  });
  for (const c of [yew, jasmine, privet]) await h.write(h.bruno, (w) => enterCohort(w, c));
  const check = (cohortId: string, on: string, batches: [string, number, number, number][]) =>
    h.write(h.bruno, (w) =>
      checkCuttings(w, {
        id: randomUUID(),
        cohortId,
        stepKey: 'check',
        on,
        cause: 'not rooted',
        potNow: false,
        part: null,
        minutes: 25,
        note: '',
        batches: batches.map(([name, rooted, callus, dead]) => ({ name, rooted, callus, dead })),
      }),
    );
  await check(yew.id, '2036-10-28', [
    ['Tray 1', 0, 41, 4],
    ['Tray 2', 0, 38, 7],
  ]);
  await check(jasmine.id, '2037-02-10', [['Tray 1', 0, 57, 7]]);
}

/** Three layers on the lime by the gate: one opened in time, one found full too late, one still rooting. */
async function layers(h: Hand): Promise<void> {
  const lime = await h.idOf('LG-19');
  const drawn = (n: number, more: object) => ({
    id: randomUUID(),
    code: `LG-19L${n}`,
    stem: 'leader',
    how: 'ring' as const,
    height: 1400,
    diameter: 18,
    branches: 4,
    keeps: 2,
    becomes: '',
    leaves: '',
    ...more,
  });
  const rung = async (on: string, layer: ReturnType<typeof drawn>) => {
    const made = { id: randomUUID(), on, goalId: null, layers: [layer] };
    await h.write(h.bruno, (w) => makeLayers(w, lime, made));
    return layer.id;
  };
  const say = (id: string, kind: LayerEventKind, on: string, more: Partial<NewLayerEvent> = {}) =>
    h.write(h.bruno, (w) =>
      layerEvent(w, id, {
        id: randomUUID(),
        kind,
        on,
        found: null,
        container: null,
        placeId: null,
        split: false,
        note: '',
        ...more,
      }),
    );
  const potted = { container: 'basket-25', placeId: h.place('North bench') };
  const early = await rung(
    '2036-05-24',
    drawn(1, { becomes: 'a leaning single trunk', leaves: 'shortened to the next ring' }),
  );
  const late = await rung(
    '2036-06-28',
    drawn(2, {
      height: 760,
      diameter: 26,
      becomes: 'a broad base, low branches',
      leaves: 'chopped to the low branch',
    }),
  );
  await say(early, 'looked', '2036-07-02', { found: 'filling' });
  await say(early, 'looked', '2036-07-20', { found: 'full' });
  await say(early, 'opened', '2036-07-21', { found: 'full', note: 'Roots shortened to a finger.' });
  await say(late, 'looked', '2036-09-02', { found: 'full' });
  await say(early, 'severed', '2036-10-04', potted);
  await say(late, 'severed', '2036-09-20', potted);
  await say(early, 'wound-sealed', '2036-10-04');
  const winter = await rung(
    '2036-08-12',
    drawn(3, { stem: 'side stem', height: 900, diameter: 15, becomes: 'a small upright', keeps: 3 }),
  );
  await say(winter, 'looked', '2036-10-20', {
    found: 'few',
    note: 'White tips, dry on one side; moss wetted.',
  });
}

/** What Tessary Bank propagates, written by the services a grower's requests reach; past trays follow their ledgers. */
export async function propagate(
  house: House,
  trx: Trx,
  places: Map<string, string>,
  people: Person[],
): Promise<void> {
  const h: Hand = {
    trx,
    write: (person, act) => writeWithin(house, trx, person, act),
    place: (name) => places.get(name)!,
    ines: people[0],
    bruno: people[1],
    idOf: async (code) => (await trx('cohort').where({ code }).first('id')).id,
  };
  for (const [code, parent] of Object.entries(PARENT_OF))
    await trx('cohort')
      .where({ code })
      .update({ parent_id: await h.idOf(parent) });
  const lots = await seed(h);
  for (const [code, lot] of Object.entries(LOT_OF))
    await trx('cohort')
      .where({ code })
      .update({ lot_id: lots.get(lot)! });
  const goal = await goals(h);
  await sowings(h, lots, goal);
  await cuttings(h, goal);
  await layers(h);
  for (const [code, trays] of [
    ['FM-35', 5],
    ['FM-36', 4],
  ] as const)
    await pastTrays(trx, await h.idOf(code), code, trays);
  const tagged = { id: randomUUID(), newId: randomUUID(), newCode: 'OP-36-07', tag: 'OP-36·07' };
  const from = await h.idOf('OP-36');
  const note = 'Low bend by nature; kept for itself.';
  await h.write(h.ines, (w) => promote(w, from, { ...tagged, note }));
}
