import type { Origin } from '@gonimos/contract/cohorts';

/** The cohorts of Tessary Bank, an invented nursery. Starts, places and mistakes are made up. */
export interface DemoCohort {
  code: string;
  taxonId: string;
  programmeId: string;
  place: DemoPlace;
  started: string;
  count: number;
  goalCaliper: number;
  note: string;
  /** how well it goes: share up or rooted, and share lost at a step */
  luck: { up: number; eaten?: number; loss: number };
  /** a step the growers missed by a season, and why */
  missed?: { key: string; on: string; until: string; reason: string };
  /** days on which the growers are known to have done a step */
  on?: Record<string, string>;
  /** how often work is left for next time */
  careful?: boolean;
  vigour?: { on: string; value: number };
  origin?: Origin;
}

export type DemoPlace = 'Cold frame' | 'North bench' | 'South bench' | 'Ground row A' | 'Heated house';

export const PLACES = [
  { name: 'Cold frame', kind: 'frame', night: 1.5, day: 2.5, heatedTo: null },
  { name: 'North bench', kind: 'outdoors', night: 0, day: -0.5, heatedTo: null },
  { name: 'South bench', kind: 'outdoors', night: 0.3, day: 1.2, heatedTo: null },
  { name: 'Ground row A', kind: 'ground', night: 0, day: 0, heatedTo: null },
  { name: 'Heated house', kind: 'house', night: 8, day: 8, heatedTo: 15 },
] as const;

const boughtFrom = (source: string, price: number, age: number | null): Origin => ({
  ...{ source, price, age, permission: '', ageHow: 'told', quarantine: false },
});

const ownGround = (source: string, age: number): Origin => ({
  ...{ source, age, price: null, permission: 'our own ground', ageHow: 'guessed', quarantine: false },
});

export const COHORTS: DemoCohort[] = [
  {
    code: 'HB-36',
    taxonId: 'carpinus-betulus',
    programmeId: 'seed-broadleaf',
    place: 'Cold frame',
    started: '2036-03-14',
    count: 240,
    goalCaliper: 40,
    note: 'Seed from the long hedge, cold since November.',
    luck: { up: 0.62, eaten: 0.06, loss: 0.03 },
    on: { correct: '2037-02-22' },
  },
  {
    code: 'FM-36',
    taxonId: 'acer-campestre',
    programmeId: 'seed-broadleaf',
    place: 'Cold frame',
    started: '2036-03-12',
    count: 200,
    goalCaliper: 40,
    note: 'Mesh went on five days late; mice found the flat.',
    luck: { up: 0.7, eaten: 0.22, loss: 0.02 },
  },
  {
    code: 'SP-35',
    taxonId: 'pinus-sylvestris',
    programmeId: 'seed-pine',
    place: 'South bench',
    started: '2035-03-20',
    count: 200,
    goalCaliper: 30,
    note: 'Roots sloped. Low buds mapped in the second autumn.',
    luck: { up: 0.78, eaten: 0.03, loss: 0.04 },
    careful: true,
  },
  {
    code: 'TC-34',
    taxonId: 'tilia-cordata',
    programmeId: 'seed-ground',
    place: 'Ground row A',
    started: '2034-03-18',
    count: 130,
    goalCaliper: 60,
    note: 'Row on tiles, forty centimetres apart.',
    luck: { up: 0.45, eaten: 0.08, loss: 0.05 },
  },
  {
    code: 'OP-36',
    taxonId: 'ligustrum-ovalifolium',
    programmeId: 'cutting-broadleaf',
    place: 'Cold frame',
    started: '2036-06-28',
    count: 180,
    goalCaliper: 35,
    note: 'Semi-ripe, one to a place after last year’s mat.',
    luck: { up: 0.84, loss: 0.06 },
    on: { correct: '2037-02-19' },
  },
  {
    code: 'PP-33',
    taxonId: 'parrotia-persica',
    programmeId: 'seed-broadleaf',
    place: 'North bench',
    started: '2033-03-16',
    count: 70,
    goalCaliper: 40,
    note: 'Slow the first year: kept too wet in the cells.',
    luck: { up: 0.5, eaten: 0.1, loss: 0.05 },
    careful: true,
  },
  {
    code: 'CC-32',
    taxonId: 'cornus-mas',
    programmeId: 'seed-broadleaf',
    place: 'North bench',
    started: 'spring 2032',
    count: 60,
    goalCaliper: 35,
    note: 'Warm then cold; half came up a year late and were thrown out.',
    luck: { up: 0.4, loss: 0.03 },
    vigour: { on: '2036-10-22', value: 2 },
  },
  {
    code: 'FM-30',
    taxonId: 'acer-campestre',
    programmeId: 'seed-broadleaf',
    place: 'North bench',
    started: '2030-03-10',
    count: 80,
    goalCaliper: 40,
    note: 'The oldest maples. Two thick roots on the east side were left.',
    luck: { up: 0.68, eaten: 0.05, loss: 0.05 },
    careful: true,
  },
  {
    code: 'GB-34',
    taxonId: 'ginkgo-biloba',
    programmeId: 'seed-broadleaf',
    place: 'South bench',
    started: '2034-03-25',
    count: 50,
    goalCaliper: 30,
    note: 'Leggy: stood behind the maples until midsummer.',
    luck: { up: 0.66, loss: 0.04 },
    missed: {
      key: 'wire-1',
      on: '2037-02-10',
      until: '2037-03-13',
      reason: 'stems still soft, wire bit last time',
    },
  },
  {
    code: 'YW-31',
    taxonId: 'taxus-baccata',
    programmeId: 'cutting-conifer',
    place: 'North bench',
    started: '2031-07-04',
    count: 100,
    goalCaliper: 30,
    note: 'Heel cuttings. A third still had callus only in the first autumn.',
    luck: { up: 0.55, loss: 0.04 },
  },
  {
    code: 'OJ-35',
    taxonId: 'murraya-paniculata',
    programmeId: 'cutting-broadleaf',
    place: 'Heated house',
    started: '2035-06-10',
    count: 60,
    goalCaliper: 20,
    note: 'Tender: house below 15 °C for two nights in January, some leaf lost.',
    luck: { up: 0.72, loss: 0.07 },
  },
  {
    code: 'HB-33',
    taxonId: 'carpinus-betulus',
    programmeId: 'seed-ground',
    place: 'Ground row A',
    started: '2033-03-12',
    count: 160,
    goalCaliper: 60,
    note: 'Second half of the row, no tiles under the last ten.',
    luck: { up: 0.58, eaten: 0.05, loss: 0.04 },
  },
  {
    code: 'TC-36',
    taxonId: 'tilia-cordata',
    programmeId: 'seed-broadleaf',
    place: 'Cold frame',
    started: '2036-03-22',
    count: 170,
    goalCaliper: 40,
    note: 'Thick coats, cut before soaking.',
    luck: { up: 0.38, eaten: 0.04, loss: 0.02 },
  },
  {
    code: 'SP-31',
    taxonId: 'pinus-sylvestris',
    programmeId: 'seed-pine',
    place: 'South bench',
    started: '2031-03-18',
    count: 140,
    goalCaliper: 30,
    note: 'Weak after the dry June of the fourth year.',
    luck: { up: 0.74, loss: 0.05 },
    vigour: { on: '2036-10-20', value: 2 },
  },
  {
    ...{ code: 'FC-34', taxonId: 'ficus-microcarpa', programmeId: 'tropical-house', place: 'Heated house' },
    ...{ started: '2034-06-20', count: 40, goalCaliper: 30, luck: { up: 0.8, loss: 0.05 } },
    note: 'Out for the summer since the second year.',
  },
  {
    ...{ code: 'AO-35', taxonId: 'adenium-obesum', programmeId: 'swollen-base', place: 'Heated house' },
    ...{ started: '2035-05-20', count: 18, goalCaliper: 60, luck: { up: 1, loss: 0.1 } },
    note: 'Bought in dry. Two planted wet in the first year rotted.',
    origin: boughtFrom('an importer of dry roots', 12600, null),
  },
  {
    ...{ code: 'OL-34', taxonId: 'olea-europaea', programmeId: 'cutting-conifer', place: 'Cold frame' },
    ...{ started: '2034-07-02', count: 48, goalCaliper: 30, luck: { up: 0.6, loss: 0.04 } },
    note: 'Tender in pots: under fleece in the frame.',
  },
  {
    ...{
      code: 'LV-35',
      taxonId: 'lavandula-angustifolia',
      programmeId: 'shrub-staged',
      place: 'South bench',
    },
    ...{ started: '2035-06-30', count: 36, goalCaliper: 25, luck: { up: 0.7, loss: 0.06 } },
    note: 'A fifth of the root at a time, after the lot of 2031 was lost.',
  },
  {
    ...{ code: 'JC-33', taxonId: 'juniperus-communis', programmeId: 'juniper-whips', place: 'South bench' },
    ...{ started: '2033-07-10', count: 90, goalCaliper: 25, luck: { up: 0.5, loss: 0.04 } },
    note: 'Whips kept thin in small pots for hard bends.',
  },
  {
    ...{ code: 'LG-19', taxonId: 'tilia-cordata', programmeId: 'stock-plant', place: 'Ground row A' },
    ...{ started: '2035-02-20', count: 1, goalCaliper: 60, luck: { up: 1, loss: 0 } },
    note: 'The old lime by the gate, kept for layers.',
    origin: ownGround('by the gate', 18),
  },
  {
    ...{ code: 'HB-05', taxonId: 'carpinus-betulus', programmeId: 'stock-plant', place: 'Ground row A' },
    ...{ started: '2032-02-10', count: 1, goalCaliper: 90, luck: { up: 1, loss: 0 } },
    note: 'The best-leaved of the long hedge, kept for seed.',
    origin: ownGround('the long hedge', 32),
  },
  {
    ...{ code: 'OP-28', taxonId: 'ligustrum-ovalifolium', programmeId: 'stock-plant', place: 'Ground row A' },
    ...{ started: '2032-02-14', count: 1, goalCaliper: 50, luck: { up: 1, loss: 0 } },
    note: 'Small leaf, short joints: every privet here comes from it.',
    origin: ownGround('the yard wall', 9),
  },
  {
    ...{ code: 'BT-36', taxonId: 'prunus-spinosa', programmeId: 'bought-liner', place: 'North bench' },
    ...{ started: '2036-11-20', count: 60, goalCaliper: 30, luck: { up: 1, loss: 0.03 } },
    note: 'Liners from a hedge grower, two years old by the invoice.',
    origin: boughtFrom('a hedge grower down the valley', 5400, 2),
  },
  {
    ...{ code: 'OP-34', taxonId: 'ligustrum-ovalifolium', programmeId: 'slender', place: 'North bench' },
    ...{ started: '2034-06-25', count: 44, goalCaliper: 12, luck: { up: 0.85, loss: 0.03 } },
    note: 'Thin lines on purpose.',
  },
  {
    ...{ code: 'SP-33', taxonId: 'pinus-sylvestris', programmeId: 'exposed-root', place: 'South bench' },
    ...{ started: '2033-03-20', count: 40, goalCaliper: 25, luck: { up: 0.75, loss: 0.05 } },
    note: 'In tall columns; the mix goes down a hand a year.',
  },
  {
    ...{ code: 'FM-35', taxonId: 'acer-campestre', programmeId: 'bare-root-sale', place: 'Ground row A' },
    ...{ started: '2035-03-14', count: 340, goalCaliper: 15, luck: { up: 0.7, eaten: 0.05, loss: 0.02 } },
    note: 'Whips for the autumn sale.',
  },
];

/** Schools the Tessarys follow where no cohort or programme says otherwise. */
export const NURSERY_SCHOOLS = { opening: 'to-tips', 'ground-lift': 'left', chop: 'staged' } as const;
