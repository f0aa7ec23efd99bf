import type { NewSeedEvent } from '@gonimos/contract/seed';
import { enterLot, tellOfLot } from '../seed/enter.ts';
import { cohortId, lotId, named, type Chapter, type DemoRequest } from './hand.ts';

const LOTS = [
  ['Long hedge 35', 'carpinus-betulus', 'HB-05', 'autumn 2035', '2035-10-18', 320, 'moist in the fridge'],
  ['Long hedge 36', 'carpinus-betulus', 'HB-05', 'autumn 2036', '2036-10-20', 900, 'moist in the fridge'],
  ['Cornelian 36', 'cornus-mas', null, '2036-09-12', '2036-09-12', 240, 'moist in the fridge'],
  ['Jasmine berries 37', 'murraya-paniculata', null, '2037-01-28', '2037-01-28', 130, 'not stored'],
  ['Roadside maple 34', 'acer-campestre', null, 'autumn 2034', '2034-10-07', 360, 'cool and dry'],
  ['Hedge maple 35', 'acer-campestre', null, 'autumn 2035', '2035-10-02', 220, 'moist in the fridge'],
  ['Roadside maple 36', 'acer-campestre', null, 'autumn 2036', '2036-10-05', 500, 'cool and dry'],
] as const;

const NOTHING = { tested: null, sound: null, seeds: null, note: '' };
const told = (
  lot: string,
  kind: NewSeedEvent['kind'],
  on: string,
  more: Partial<NewSeedEvent> = {},
): DemoRequest => ({
  on,
  by: 'Bruno Tessary',
  act: (w) => tellOfLot(w, lotId(lot), { ...NOTHING, id: named(`${lot} ${kind} ${on}`), kind, on, ...more }),
});

/** Seed lots, and what was done to them. */
export const lots: Chapter = () => [
  ...LOTS.map(([name, taxonId, parent, harvested, on, seeds, storage]): DemoRequest => {
    const source = parent === null ? 'wild trees on the hill' : 'the long hedge';
    const parentId = parent === null ? null : cohortId(parent);
    const lot = { id: lotId(name), name, taxonId, source, parentId, harvested, seeds, storage, price: null };
    return { on, by: 'Ines Tessary', act: (w) => enterLot(w, { ...lot, handling: '', note: '' }) };
  }),
  told('Long hedge 36', 'test', '2036-11-08', { tested: 50, sound: 38, note: 'Cut open.' }),
  told('Long hedge 36', 'to cold', '2036-11-10'),
  told('Long hedge 36', 'out', '2037-03-06', { seeds: 315 }),
  told('Cornelian 36', 'to warm', '2036-09-20'),
  told('Cornelian 36', 'to cold', '2036-12-20'),
];
