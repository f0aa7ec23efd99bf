import { mixWrites } from '../mixes/service.ts';
import { named, OPENING_DAY, type Chapter, type DemoRequest } from './hand.ts';

const by = 'Bruno Tessary' as const;

/** What lies in the bins, litres, and cents a litre; of bark there is too little for the spring. */
const BINS: readonly [
  component: string,
  litres: number,
  cents: number,
  arriving?: number,
  arrives?: string,
][] = [
  ['akadama', 220, 95],
  ['pumice', 340, 42],
  ['lava', 90, 48],
  ['clay', 260, 60],
  ['grit', 180, 22],
  ['bark', 60, 18, 140, '2037-03-20'],
  ['coir', 120, 30],
  ['perlite', 100, 25],
  ['sand', 80, 12],
  ['old-mix', 140, 0],
];

const counted = ([component, litres, cents, arriving = 0, arrives]: (typeof BINS)[number]): DemoRequest => ({
  on: OPENING_DAY,
  by,
  act: (w) =>
    mixWrites.count(w, {
      id: named(`bin of ${component}`),
      component,
      version: 0,
      counted: litres,
      arriving,
      arrives: arrives ?? null,
      cents,
    }),
});

/** Bins, a mix of their own, and a drain test of the one they pot hornbeams into. */
export const mixes: Chapter = () => [
  ...BINS.map(counted),
  {
    on: OPENING_DAY,
    by,
    act: (w) =>
      mixWrites.save(w, {
        id: named('hill mix'),
        mixId: 'hill-mix',
        version: 0,
        name: 'hill mix',
        parts: [
          { component: 'grit', parts: 2 },
          { component: 'pumice', parts: 2 },
          { component: 'compost', parts: 1 },
        ],
        under: { share: 0.2, parts: [{ component: 'pumice-coarse', parts: 1 }] },
        drain: null,
      }),
  },
  {
    on: OPENING_DAY,
    by,
    act: (w) =>
      mixWrites.save(w, {
        id: named('bark mix drained'),
        mixId: 'bark-third',
        version: 0,
        name: 'mineral mix with a third of sieved bark',
        parts: [
          { component: 'pumice', parts: 1 },
          { component: 'clay', parts: 1 },
          { component: 'bark', parts: 1 },
        ],
        under: null,
        drain: { depth: 150, air: 0.22 },
      }),
  },
  {
    on: OPENING_DAY,
    by,
    act: (w) =>
      mixWrites.batch(w, {
        id: named('batch of hill mix'),
        mix: 'hill-mix',
        on: OPENING_DAY,
        litres: 60,
        note: 'damped first, dust kept down',
      }),
  },
];
