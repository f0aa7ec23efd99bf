import type { RootBench, RootRecordRow } from '@gonimos/contract/root-records';
import type { StemBench, StemRecordRow } from '@gonimos/contract/stem-records';
import { protocolFor, type Root } from '@gonimos/core/roots';
import type { StemPart as Part } from '@gonimos/core/stem';
import { GROWTH_GROUPS } from '@gonimos/core/taxa';
import { NOTHING_DECIDED as NO_ROOTS_DECIDED } from '@gonimos/contract/roots-decided';
import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import { ID } from './ids.ts';

/** A root at so many degrees, mm thick. */
export const rootOf = (id: string, azimuth: number, diameter: number, more: Partial<Root> = {}): Root => ({
  id,
  azimuth,
  diameter,
  height: 0,
  angle: 5,
  fibre: null,
  path: [{ azimuth, out: 75 }],
  forks: [],
  faults: [],
  note: '',
  ...more,
});
export const ROOTS = [
  rootOf('a', 0, 4),
  rootOf('b', 60, 4),
  rootOf('c', 120, 4),
  rootOf('d', 180, 9.5),
  rootOf('e', 240, 4),
  rootOf('f', 300, 4),
  rootOf('g', 30, 5, { faults: ['strangling'] }),
];
export const rootRow = (more: Partial<RootRecordRow> = {}): RootRecordRow => ({
  id: ID(41),
  label: 'no. 7',
  on: '2037-03-02',
  record: { trunk: 30, front: 180, under: null, profile: null, escaped: false, pests: '', roots: ROOTS },
  decided: NO_ROOTS_DECIDED,
  note: '',
  version: 2,
  by: 'Ada',
  ...more,
});
export const rootBench = (more: Partial<RootBench> = {}): RootBench => ({
  records: [rootRow()],
  classed: [],
  left: null,
  school: 'flat',
  limit: { share: 0.4, words: '40 % may go at ‘Root work’, by its reserve then' },
  exposures: [],
  step: {
    key: 'correct#1',
    title: 'Root work',
    operation: 'root-work',
    opens: '2037-03-01',
    closes: '2037-04-01',
    ready: true,
  },
  container: 'basket-25',
  heldUntil: '2037-09-01',
  protocol: protocolFor({
    group: 'deciduous-broadleaf',
    school: 'flat',
    plug: false,
    limit: 0.4,
    plants: 24,
  }),
  stems: [],
  stances: [],
  ...more,
});

/** A branch of a stem; a living one unless told otherwise. */
export const partOf = (
  id: string,
  height: number,
  azimuth: number,
  diameter: number,
  more: Partial<Part> = {},
): Part => ({
  id,
  kind: 'branch',
  height,
  azimuth,
  diameter,
  since: null,
  foliage: null,
  feeds: null,
  role: null,
  rise: null,
  vitality: null,
  long: null,
  note: '',
  ...more,
});
export const PARTS = [
  partOf('a', 120, 90, 6, { role: 'first' }),
  partOf('b', 150, 270, 7),
  partOf('c', 260, 40, 5),
];
export const stemRow = (more: Partial<StemRecordRow> = {}): StemRecordRow => ({
  id: ID(31),
  label: 'no. 7',
  on: '2037-03-02',
  record: { base: 30, height: 900, front: 180, girths: [], parts: PARTS },
  decided: { ...NOTHING_DECIDED, finished: 400 },
  note: '',
  version: 2,
  by: 'Ada',
  ...more,
});
export const stemBench = (more: Partial<StemBench> = {}): StemBench => ({
  records: [stemRow()],
  start: {
    year: 2037,
    ring: 7.7,
    tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
    vigour: 4,
    caliper: 30,
    height: 900,
    litres: 12,
    wall: 'air-pruning',
  },
  way: 'staged',
  wounds: 'sealed',
  sprouts: {
    mean: 0.9,
    own: null,
    library: { value: 0.9, basis: 'common practice' },
    stems: 0,
    batches: 0,
    shoots: null,
  } as unknown as StemBench['sprouts'],
  roots: [],
  stances: [],
  container: 'basket-25',
  step: {
    key: 'chop#1',
    title: 'Chop',
    operation: 'chop',
    opens: '2037-02-20',
    closes: '2037-03-30',
    ready: true,
  },
  left: null,
  held: { off: 0, kept: 0, days: null },
  ...more,
});
