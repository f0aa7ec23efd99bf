import type { LabStart } from '@gonimos/core/lab';
import type { ChopAsk, StemPart, StemRecord } from '@gonimos/core/stem';
import { GROWTH_GROUPS, taxon } from '@gonimos/core/taxa';

/** A branch to the right, 4 mm thick. */
export const part = (id: string, height: number, more: Partial<StemPart> = {}): StemPart => ({
  id,
  kind: 'branch',
  height,
  azimuth: 90,
  diameter: 4,
  since: null,
  foliage: null,
  note: '',
  ...more,
});
/** A stem of 30 mm and 900 mm. */
export const stem = (parts: StemPart[], more: Partial<StemRecord> = {}): StemRecord => ({
  base: 30,
  height: 900,
  front: 180,
  girths: [],
  parts,
  ...more,
});
export const MAPLE: LabStart = {
  year: 2037,
  ring: 7.7,
  tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
  vigour: 3,
  caliper: 30,
  height: 900,
  litres: 12,
  wall: 'air-pruning',
};
/** A maple to become a tree of 300 mm by one cut. */
export const ask = (record: StemRecord, more: Partial<ChopAsk> = {}): ChopAsk => ({
  record,
  kind: taxon('acer-campestre'),
  finished: 300,
  style: 'usual',
  way: 'hard',
  wounds: 'by-kind',
  start: MAPLE,
  breaks: 0.9,
  ...more,
});
