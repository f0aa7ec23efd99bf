import type { Programme } from '../../src/programmes/index.ts';
import {
  CELLS,
  days,
  firstWire,
  SEED_START,
  after,
  caliper,
  height,
  into,
  ifSchool,
  programmeOf,
  seasons,
  step,
} from './write.ts';

export const IN_THE_GROUND: Programme[] = [
  programmeOf(
    'seed-ground',
    'Seed-raised broadleaf, ground row on tiles',
    'seed',
    'A year in cells and one in a basket, then the ground row for the trunk',
    [
      ...SEED_START,
      ...CELLS,
      step(
        'correct',
        'root-correct',
        [days('cells', 90), after('plug')],
        into('basket-18', 'First root correction, flat, into 18 cm baskets'),
      ),
      firstWire('correct'),
      step('tile', 'tile-set', [seasons('correct', 0.6)], { title: 'Spread the roots over the tile' }),
      step(
        'plant-out',
        'plant-out',
        [seasons('correct', 0.8), after('tile')],
        into('ground', 'Plant into the ground row, on tiles'),
      ),
      step('measure-1', 'measure', [seasons('plant-out', 0.8)]),
      step('cut-back-1', 'cut-back', [seasons('plant-out', 0.9)], ifSchool('ground-cut', 'yearly')),
      step('cut-back-2', 'cut-back', [seasons('cut-back-1', 0.9)], ifSchool('ground-cut', 'yearly')),
      step('turn', 'lift-replant', [seasons('plant-out', 1.8)], {
        title: 'Lift, correct roots, replant in the row',
        ...ifSchool('ground-lift', 'second-year'),
      }),
      step('tile-look', 'tile-look', [seasons('plant-out', 1.8)], ifSchool('ground-lift', 'left')),
      step(
        'lift',
        'lift',
        [seasons('plant-out', 2.5), seasons('turn', 1.8), seasons('tile-look', 0.9)],
        into('basket-32', 'Lift, correct roots, into 32 cm baskets', { conditions: caliper(35) }),
      ),
      step('measure-2', 'measure', [after('lift')]),
      step('chop', 'chop', [seasons('lift', 0.9)]),
      step('grade', 'grade', [seasons('chop', 0.9)]),
      step('training', 'training-pot', [seasons('lift', 2), seasons('chop', 0.8)], into('training-22')),
    ],
    { cycles: [{ steps: ['turn'], times: 3, every: 1.8 }] },
  ),

  programmeOf(
    'bare-root-sale',
    'Seed-raised whips for bare-root sale',
    'seed',
    'Close rows, undercut once, graded by height, lifted in deep dormancy',
    [
      ...SEED_START,
      ...CELLS,
      step(
        'row',
        'plant-out',
        [seasons('cells', 0.4), after('plug')],
        into('ground', 'Line out in the nursery row'),
      ),
      step('undercut', 'undercut', [seasons('row', 0.9)]),
      step('feed', 'feed', [seasons('undercut', 0.1)]),
      step('measure', 'measure', [seasons('undercut', 0.6)]),
      step('grade', 'grade', [seasons('undercut', 0.8)], { title: 'Grade by height, cull twins' }),
      step('sale', 'sale-lift', [after('grade')], { conditions: height(600) }),
    ],
  ),

  programmeOf(
    'bare-root-pine',
    'Pines sold bare-root at one year',
    'seed',
    'Sown close in a bed, undercut in late summer, lifted in deep dormancy after one season',
    [
      step('sow', 'sow', [], into('ground', 'Sow in the bed')),
      step('emergence', 'emergence-count', [after('sow')]),
      step('undercut', 'undercut', [seasons('emergence', 0.5)], {
        title: 'Undercut the tap roots in the bed',
        window: { kind: 'growth', opens: 0.6, days: 30 },
        rootLoss: 0.2,
      }),
      step('grade', 'grade', [seasons('emergence', 0.8)], { title: 'Grade by height, cull the weak' }),
      step('sale', 'sale-lift', [after('grade')], { title: 'Lift one-year pines, bundle, roots wrapped' }),
    ],
  ),

  programmeOf(
    'juniper-whips',
    'Juniper whips, wired tight',
    'cutting',
    'Cuttings grown long and thin, bent hard in the third year, then free for the trunk',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 1100, days: 45 },
      }),
      step(
        'single',
        'pot-on',
        [{ step: 'check', needs: 'rooted' }],
        into('pot-9', 'Pot up singly into 9 cm pots', { window: { kind: 'lag', opens: 14, closes: 80 } }),
      ),
      step('pot-13', 'slip-pot', [seasons('single', 1)], into('pot-13', 'Pot on, ball kept')),
      step('whips', 'whip-wire', [seasons('pot-13', 0.9)], { conditions: height(300) }),
      step('row', 'plant-out', [seasons('whips', 1)], into('ground', 'Into the row, tops free')),
      step('thin', 'thin-sacrifice', [seasons('row', 1.5)]),
      step('measure', 'measure', [seasons('row', 2)]),
      step(
        'lift',
        'lift',
        [seasons('row', 3)],
        into('basket-25', undefined, { conditions: caliper(22), rootLoss: 0.4, topLoss: 0.2 }),
      ),
      step('sacrifice', 'sacrifice-cut', [seasons('lift', 1.5)], { topLoss: 0.35 }),
      step(
        'training',
        'training-pot',
        [seasons('sacrifice', 0.9), seasons('lift', 2)],
        into('training-22', undefined, { rootLoss: 0.3, topLoss: 0.1 }),
      ),
    ],
    { vigour: 3, schools: { insults: 'one' } },
  ),
];
