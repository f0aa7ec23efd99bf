import { random, seedFrom } from '@gonimos/core/random';
import type { CellState } from '@gonimos/core/trays';
import { enterCohort } from '../cohorts/service.ts';
import { coverPlants } from '../seed/enter.ts';
import { addTray, markCells } from '../trays/service.ts';
import { cohortId, entered, goalId, lotId, named, type Chapter, type DemoRequest } from './hand.ts';

const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);
const by = 'Bruno Tessary';
const trayId = (code: string, name: string) => named(`tray ${code} ${name}`);

const JASMINE = entered('Heated house', {
  code: 'OJ-37',
  taxonId: 'murraya-paniculata',
  programmeId: 'seed-broadleaf',
  container: 'seed-flat',
  count: 105,
  started: '2037-02-06',
  lotId: lotId('Jasmine berries 37'),
  goalId: goalId('jasmine'),
  note: 'Berries washed and sown the same week.',
});
const HORNBEAM = entered('Cold frame', {
  code: 'HB-37',
  taxonId: 'carpinus-betulus',
  programmeId: 'seed-broadleaf',
  container: 'seed-flat',
  count: 315,
  started: '2037-03-06',
  lotId: lotId('Long hedge 36'),
  goalId: goalId('hornbeam'),
  parentId: cohortId('HB-05'),
  note: 'Chitted in the bag, sown one to a cell.',
});

const tray = (code: string, name: string, on: string): DemoRequest => ({
  on,
  by,
  act: (w) => addTray(w, cohortId(code), { id: trayId(code, name), name, rows: 7, columns: 15, fill: 105 }),
});

interface Mark {
  was?: CellState;
  cause?: string;
}
const mark = (id: string, cells: number[], now: CellState, on: string, m: Mark = {}): DemoRequest => ({
  on,
  by,
  act: (w) =>
    markCells(w, id, {
      id: named(`${id} ${now} ${on}`),
      on,
      cause: m.cause ?? null,
      marks: cells.map((cell) => ({ cell, was: m.was ?? 'sown', now })),
    }),
});

/** Cells of the jasmine in the order in which they came up. */
function upInTurn(): number[] {
  const rng = random(seedFrom('OJ-37'));
  return range(0, 105)
    .map((cell) => ({ cell, luck: rng.next() }))
    .sort((a, b) => a.luck - b.luck)
    .map((x) => x.cell);
}

/** Two sowings of this spring: jasmine part up in the house, hornbeam just sown and found by mice. */
export const sowings: Chapter = () => {
  const turn = upInTurn();
  const a = trayId('OJ-37', 'A');
  const glass = {
    id: named('glass over OJ-37'),
    kind: 'glass' as const,
    clearance: 70,
    from: '2037-02-06',
    note: 'lifted at noon',
  };
  return [
    { on: '2037-02-06', by, act: (w) => enterCohort(w, JASMINE) },
    tray('OJ-37', 'A', '2037-02-06'),
    { on: '2037-02-06', by, act: (w) => coverPlants(w, JASMINE.id, glass) },
    mark(a, turn.slice(0, 11), 'up', '2037-02-26'),
    mark(a, turn.slice(11, 30), 'up', '2037-03-01'),
    mark(a, turn.slice(30, 46), 'up', '2037-03-04'),
    mark(a, turn.slice(46, 53), 'up', '2037-03-07'),
    mark(a, turn.slice(53, 56), 'twin', '2037-03-07'),
    mark(a, turn.slice(4, 7), 'lost', '2037-03-07', { was: 'up', cause: 'damping off' }),
    { on: '2037-03-06', by, act: (w) => enterCohort(w, HORNBEAM) },
    ...['A', 'B', 'C'].map((name) => tray('HB-37', name, '2037-03-06')),
    mark(trayId('HB-37', 'B'), [...range(60, 67), ...range(75, 80)], 'eaten', '2037-03-08'),
  ];
};
