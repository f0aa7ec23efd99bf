import type { Programme, ProgrammeStep } from '../../src/programmes/index.ts';
import { after, caliper, firstWire, full, into, once, programmeOf, seasons, step } from './write.ts';

const ROOTED = once('check', 'rooted');
const singleInto9 = (opens: number, closes: number): ProgrammeStep =>
  step(
    'single',
    'pot-on',
    [ROOTED],
    into('pot-9', 'Pot up singly into 9 cm pots', { window: { kind: 'lag', opens, closes } }),
  );

/** Baskets to the first chop, once plants stand singly. */
const BROADLEAF_ON: ProgrammeStep[] = [
  step('measure-1', 'measure', [seasons('single', 0.1)]),
  step(
    'correct',
    'root-correct',
    [seasons('single', 0.2)],
    into('basket-18', 'First root correction, into 18 cm baskets'),
  ),
  firstWire('correct'),
  step('grade', 'grade', [seasons('correct', 1)]),
  step('roots-2', 'root-work', [seasons('correct', 1.8)], into('basket-25', 'Root work, into 25 cm baskets')),
  // with the root work where the school lets root and top go together, else a season later
  step('chop', 'chop', [after('roots-2')], { conditions: caliper(20) }),
  step('measure-2', 'measure', [seasons('chop', 0.8)]),
  step('training', 'training-pot', [seasons('chop', 0.8), seasons('roots-2', 2)], into('training-22')),
];

export const FROM_CUTTINGS: Programme[] = [
  programmeOf(
    'cutting-broadleaf',
    'Cutting-raised broadleaf',
    'cutting',
    'Semi-ripe cuttings, one to a pot, even roots from the first correction',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')]),
      singleInto9(10, 60),
      ...BROADLEAF_ON,
    ],
    { vigour: 3 },
  ),

  programmeOf(
    'cutting-softwood',
    'Softwood cuttings',
    'cutting',
    'Soft tips in early summer under mist, rooted in weeks, one to a pot',
    [
      step('stick', 'stick-softwood', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 320, days: 28 },
      }),
      singleInto9(10, 50),
      ...BROADLEAF_ON,
    ],
    { vigour: 3 },
  ),

  programmeOf(
    'cutting-pencil',
    'Hardwood cuttings',
    'cutting',
    'Pencil-thick, cut leafless in winter, rooted by the summer',
    [
      step('stick', 'stick-hardwood', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 600, days: 45 },
      }),
      singleInto9(14, 80),
      ...BROADLEAF_ON,
    ],
    { vigour: 3, caliper: 6 },
  ),

  programmeOf(
    'offshoots',
    'Offshoots',
    'cutting',
    'Suckers parted with roots of their own before the buds move',
    [
      step('part', 'part-offshoots', [], into('pot-13')),
      step('check', 'cutting-check', [after('part')], {
        title: 'Check: taken hold',
        window: { kind: 'warmth', degreeDays: 350, days: 40 },
      }),
      step(
        'single',
        'slip-pot',
        [once('check', 'rooted'), seasons('part', 0.6)],
        into('basket-18', 'Pot on, ball kept'),
      ),
      ...BROADLEAF_ON.filter((s) => s.key !== 'measure-1'),
    ],
    { vigour: 3, caliper: 8 },
  ),

  programmeOf(
    'cutting-hardwood',
    'Thick hardwood cuttings',
    'cutting',
    'Cut in winter, thumb-thick, a trunk from the first day',
    [
      step('stick', 'stick-hardwood', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 700, days: 45 },
      }),
      singleInto9(14, 80),
      ...BROADLEAF_ON,
    ],
    { vigour: 3, caliper: 12 },
  ),

  programmeOf(
    'cutting-water',
    'Cuttings rooted in water',
    'cutting',
    'Willow, privet, fig: rooted in the jar, moved to mix before the roots are long',
    [
      step('stand', 'root-in-water', [], into('cutting-tray')),
      step(
        'check',
        'water-to-mix',
        [after('stand')],
        into('pot-9', 'Move rooted cuttings into mix, one to a pot'),
      ),
      step('single', 'slip-pot', [seasons('check', 0.3)], into('pot-13', 'Pot on, ball kept')),
      ...BROADLEAF_ON.filter((s) => s.key !== 'measure-1'),
    ],
    { vigour: 3 },
  ),

  programmeOf(
    'cutting-water-winter',
    'Hardwood cuttings rooted in water',
    'cutting',
    'Willow, poplar, mulberry, fig: leafless shoots stood in water in winter, into mix in spring',
    [
      step('stand', 'hardwood-in-water', [], into('cutting-tray')),
      step(
        'check',
        'water-to-mix',
        [after('stand')],
        into('pot-9', 'Move rooted cuttings into mix, one to a pot'),
      ),
      step('single', 'slip-pot', [seasons('check', 0.6)], into('pot-13', 'Pot on, ball kept')),
      ...BROADLEAF_ON.filter((s) => s.key !== 'measure-1'),
    ],
    { vigour: 3, caliper: 6 },
  ),

  programmeOf(
    'cutting-root',
    'Root cuttings',
    'cutting',
    'Pencil-thick roots laid in late winter, upper end marked',
    [
      step('lay', 'stick-root', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('lay')], {
        title: 'Check: shoots up, roots made',
        window: { kind: 'warmth', degreeDays: 350, days: 40 },
      }),
      singleInto9(14, 80),
      ...BROADLEAF_ON,
    ],
    { vigour: 3, caliper: 6 },
  ),

  programmeOf(
    'cutting-conifer',
    'Cutting-raised yew and juniper',
    'cutting',
    'Slow to root, wired early, thickened by a sacrifice and never cut hard',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 1100, days: 45 },
      }),
      singleInto9(14, 80),
      step('measure-1', 'measure', [seasons('single', 0.5)]),
      step(
        'correct',
        'root-correct',
        [seasons('single', 0.8)],
        into('pot-13', 'First root correction, into 13 cm pots', { rootLoss: 0.3, topLoss: 0 }),
      ),
      firstWire('correct'),
      step(
        'basket',
        'slip-pot',
        [seasons('correct', 1.7)],
        into('basket-18', 'Pot on into 18 cm baskets, ball kept'),
      ),
      step('grade', 'grade', [after('basket')]),
      step(
        'roots-2',
        'root-work',
        [seasons('basket', 1.8)],
        into('basket-25', 'Root work, into 25 cm baskets', { rootLoss: 0.3, topLoss: 0.1 }),
      ),
      step('thin', 'thin-sacrifice', [seasons('roots-2', 1)]),
      step('sacrifice', 'sacrifice-cut', [seasons('roots-2', 1.8)], { topLoss: 0.35 }),
      step('measure-2', 'measure', [after('sacrifice')]),
      step(
        'training',
        'training-pot',
        [seasons('sacrifice', 0.8)],
        into('training-22', undefined, { rootLoss: 0.3, topLoss: 0.1 }),
      ),
    ],
    { vigour: 3, schools: { insults: 'one' } },
  ),

  programmeOf(
    'tropical-house',
    'Tropical, under glass with a summer out',
    'cutting',
    'Fig, orange jasmine: root work in the warm season, out for the summer, in before the cold',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')], {
        window: { kind: 'warmth', degreeDays: 500, days: 40 },
      }),
      singleInto9(10, 90),
      step('harden', 'harden-off', [seasons('single', 0.5)], {
        window: { kind: 'cold', side: 'last', opens: -10, closes: 30 },
      }),
      step('out', 'take-out', [after('harden')]),
      step('in', 'bring-in', [after('out')]),
      step(
        'correct',
        'root-correct',
        [seasons('single', 0.8)],
        into('basket-18', 'First root correction, into 18 cm baskets'),
      ),
      firstWire('correct'),
      step('cut-back', 'cut-back', [seasons('correct', 1)]),
      step(
        'roots-2',
        'root-work',
        [seasons('correct', 1.6)],
        into('basket-25', 'Root work, into 25 cm baskets'),
      ),
      step('chop', 'chop', [seasons('roots-2', 0.8)], { conditions: caliper(20) }),
      step('grade', 'grade', [seasons('chop', 0.8)]),
      step('training', 'training-pot', [seasons('chop', 0.8)], into('training-22')),
    ],
    { vigour: 3 },
  ),

  programmeOf(
    'shrub-staged',
    'Root-sensitive shrub, in stages',
    'cutting',
    'Lavender, rosemary, myrtle: a fifth of the root at a time, down in size over years',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')]),
      singleInto9(14, 80),
      step('pot-13', 'slip-pot', [seasons('single', 0.8)], into('pot-13', 'Pot on, ball kept')),
      step('stage-1', 'stage-roots', [seasons('pot-13', 1)], into('pot-13', 'Root work, first side')),
      step('cut-back', 'cut-back', [seasons('stage-1', 0.9)], { topLoss: 0.25 }),
      step(
        'stage-2',
        'stage-roots',
        [seasons('stage-1', 1.5)],
        into('clay-15', 'Root work, second side, into clay'),
      ),
      step('measure', 'measure', [seasons('stage-2', 0.5)]),
      step(
        'stage-3',
        'stage-roots',
        [seasons('stage-2', 1.5)],
        into('training-22', 'Root work, third side, into the training pot'),
      ),
    ],
    { vigour: 3, schools: { insults: 'one', 'root-ball': 'staged' } },
  ),

  programmeOf(
    'slender',
    'Slender small-pot trees',
    'cutting',
    'Small pots on purpose: thin lines and old bark rather than girth',
    [
      step('stick', 'stick', [], into('cutting-tray')),
      step('check', 'cutting-check', [after('stick')]),
      singleInto9(10, 60),
      step(
        'correct',
        'root-correct',
        [seasons('single', 0.6)],
        into('clay-15', 'Roots flattened, into shallow clay', { rootLoss: 0.5 }),
      ),
      firstWire('correct'),
      step('pinch-1', 'pinch', [seasons('correct', 0.2)]),
      step('grade', 'grade', [seasons('correct', 1)]),
      step(
        'show',
        'training-pot',
        [seasons('correct', 1.8), after('grade')],
        into('show-14', 'Into the small show pot', { conditions: full(0.5) }),
      ),
      step('pinch-2', 'pinch', [seasons('show', 0.3)]),
      step(
        'back',
        'root-work',
        [seasons('show', 2)],
        into('show-14', 'Root work and back into the same pot'),
      ),
    ],
    { vigour: 3, schools: { 'pot-size': 'small' } },
  ),
];
