import { mixWrites } from '../mixes/service.ts';
import { named, OPENING_DAY, type Chapter, type DemoRequest } from './hand.ts';

const by = 'Bruno Tessary' as const;

/** What lies in the bins, litres; of bark there is too little for the spring. */
const BINS: readonly [component: string, litres: number, arriving?: number, arrives?: string][] = [
  ['akadama', 220],
  ['pumice', 340],
  ['lava', 90],
  ['clay', 260],
  ['grit', 180],
  ['bark', 60, 140, '2037-03-20'],
  ['coir', 120],
  ['perlite', 100],
  ['sand', 80],
];

const counted = ([component, litres, arriving = 0, arrives]: (typeof BINS)[number]): DemoRequest => ({
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
          { component: 'bark-fine', parts: 2 },
          { component: 'loam', parts: 1 },
        ],
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
        drain: { depth: 150, air: 0.22 },
      }),
  },
];
