import type { Programme, ProgrammeStep } from '../../src/programmes/index.ts';
import {
  CELLS,
  SEED_START,
  after,
  caliper,
  firstWire,
  ifAny,
  into,
  once,
  ifSchool,
  programmeOf,
  seasons,
  step,
} from './write.ts';

/** What follows once a garden plant stands in its first container. */
const ONCE_LIFTED: ProgrammeStep[] = [
  step('settle', 'root-check', [seasons('collect', 0.8)], {
    title: 'Root check: firm, new root at the holes',
  }),
  step('feed', 'feed', [once('settle', 'rooted'), seasons('collect', 0.8)]),
  step('half', 'half-chop', [seasons('collect', 0.9)], ifSchool('chop', 'staged')),
  step('chop', 'chop', [seasons('collect', 0.9), seasons('half', 0.9)]),
  step(
    'roots-2',
    'root-work',
    [seasons('chop', 0.8), seasons('collect', 1.9)],
    into('basket-32', 'First root work: half the old soil out'),
  ),
  step('tourniquet', 'tourniquet', [seasons('roots-2', 0.8)], {
    title: 'Tourniquet where the flare is poor',
  }),
  step('cage', 'cage-wire', [seasons('tourniquet', 1)], { title: 'Cage wire where it is still narrow' }),
  step('pocket', 'moss-pocket', [seasons('roots-2', 0.9)]),
  step('measure', 'measure', [seasons('roots-2', 0.8)]),
  step('training', 'training-pot', [seasons('roots-2', 2)], into('tray-wide')),
];

export const FORMS: Programme[] = [
  programmeOf(
    'air-layer',
    'Air layer',
    'layer',
    'Ring, wait for the roots, sever; double where the season is long enough',
    [
      step('ring', 'layer-ring', [], into('ground', 'Ring and wrap the layer on its parent')),
      step('open', 'layer-open', [after('ring')], ifSchool('layer', 'double')),
      step(
        'sever',
        'layer-sever',
        [after('ring'), { ...ifAny('open'), warmth: 'layer again' }],
        into('basket-25'),
      ),
      step('split-now', 'base-split', [after('sever')], {
        window: { kind: 'lag', opens: 0, closes: 3 },
        ...ifSchool('base-split', 'severing'),
      }),
      step('settle', 'root-check', [after('sever')], { title: 'Root check: firm and growing' }),
      step(
        'correct',
        'root-correct',
        [seasons('sever', 0.8), after('settle')],
        into('basket-25', 'First root correction, roots to one plane', { rootLoss: 0.3, topLoss: 0.1 }),
      ),
      step('split', 'base-split', [seasons('correct', 0.8)], ifSchool('base-split', 'established')),
      step('row', 'plant-out', [seasons('correct', 1)], into('ground', 'Into the row, once it thrives')),
      step('measure', 'measure', [seasons('row', 1)]),
      step('lift', 'lift', [seasons('row', 2.5)], into('basket-32', undefined, { conditions: caliper(40) })),
      step('chop', 'chop', [seasons('lift', 0.9)]),
      step('training', 'training-pot', [seasons('lift', 2), seasons('chop', 0.8)], into('training-22')),
    ],
    { vigour: 3, caliper: 18 },
  ),

  programmeOf(
    'stock-plant',
    'Parent plant',
    'lifted',
    'Kept for seed, cuttings and layers: fed, cut back, never sold short of low branches',
    [
      step('plant', 'plant-out', [], into('ground', 'Planted where it stays')),
      step('feed', 'feed', [seasons('plant', 0.9)]),
      step('cut-back', 'cut-back', [seasons('plant', 1.9)], { topLoss: 0.3 }),
    ],
    { vigour: 4, caliper: 40, cycles: [{ steps: ['feed', 'cut-back'], times: 8, every: 0.9 }] },
  ),

  programmeOf(
    'board-method',
    'Seedlings on boards',
    'seed',
    'Roots pinned around a board for an even flare, board out after two years',
    [
      ...SEED_START,
      ...CELLS,
      step(
        'board',
        'board-set',
        [seasons('cells', 0.4), after('plug')],
        into('tray-wide', 'Set on a board, roots pinned all round'),
      ),
      firstWire('board'),
      step('measure', 'measure', [seasons('board', 1)]),
      step(
        'board-off',
        'root-work',
        [seasons('board', 1.9)],
        into('basket-32', 'Board off, roots shortened, into 32 cm baskets'),
      ),
      step('grade', 'grade', [seasons('board-off', 0.8)]),
      step('chop', 'chop', [seasons('board-off', 0.9)], { conditions: caliper(22) }),
      step('training', 'training-pot', [seasons('chop', 0.8), seasons('board-off', 2)], into('training-22')),
    ],
  ),

  programmeOf(
    'root-over-rock',
    'Root over rock',
    'seed',
    'Long roots grown first, bound to the rock, bulk fed on each face, uncovered in stages',
    [
      ...SEED_START,
      step(
        'cells',
        'pot-on',
        [{ step: 'emergence', days: 25 }],
        into('cell-105', 'Pot on into deep cells, for long roots'),
      ),
      step('long', 'slip-pot', [seasons('cells', 0.6)], into('grooved-3', 'Deep pot, roots let run')),
      step(
        'rock',
        'rock-set',
        [seasons('long', 0.9)],
        into('basket-25', 'Over the rock: roots laid in its folds and bound'),
      ),
      step('bulk', 'feed', [seasons('rock', 0.8)], { title: 'Feed for bulk: each face keeps a strong root' }),
      step('expose-1', 'expose-roots', [seasons('rock', 1.8)], {
        title: 'Uncover the top third of the rock',
      }),
      step('expose-2', 'expose-roots', [seasons('expose-1', 0.9)], { title: 'Uncover the second third' }),
      step('measure', 'measure', [seasons('expose-1', 1)]),
      step('chop', 'chop', [seasons('expose-1', 0.9)], { conditions: caliper(20) }),
      step(
        'training',
        'training-pot',
        [seasons('expose-2', 0.9), seasons('chop', 0.8)],
        into('training-22', 'Into the training pot, rock on the plane', { rootLoss: 0.35 }),
      ),
    ],
  ),

  programmeOf(
    'exposed-root',
    'Exposed root',
    'seed',
    'Tall narrow column, mix lowered a hand a year until the roots are the trunk',
    [
      ...SEED_START,
      step('cells', 'pot-on', [{ step: 'emergence', days: 25 }], into('cell-105', 'Pot on into deep cells')),
      step(
        'column',
        'slip-pot',
        [seasons('cells', 0.6)],
        into('grooved-3', 'Into a tall column, roots straight down'),
      ),
      firstWire('column'),
      step('expose', 'expose-roots', [seasons('column', 1.8)], { title: 'Lower the mix by a hand' }),
      step('grade', 'grade', [seasons('expose', 0.5)]),
      step(
        'training',
        'training-pot',
        [seasons('expose', 0.9)],
        into('training-22', 'Into the training pot, roots standing', { rootLoss: 0.3, topLoss: 0.15 }),
      ),
    ],
    { cycles: [{ steps: ['expose'], times: 3, every: 0.9 }] },
  ),

  programmeOf(
    'clump-fused',
    'Seedlings fused to one base',
    'seed',
    'Several stems bound low in the second year; it cannot be undone, so it is settled at the planting',
    [
      ...SEED_START,
      ...CELLS,
      step(
        'fuse',
        'fuse',
        [seasons('cells', 0.4), after('plug')],
        into('basket-18', 'Choose and place the stems, settle them together'),
      ),
      step('grade', 'grade', [seasons('fuse', 1)]),
      step('roots-2', 'root-work', [seasons('fuse', 1.9)], into('basket-25', 'Root work, binding off')),
      step('row', 'plant-out', [seasons('roots-2', 0.9)], into('ground', 'Into the row to swell together')),
      step('measure', 'measure', [seasons('row', 1)]),
      step('lift', 'lift', [seasons('row', 2.4)], into('basket-32', undefined, { conditions: caliper(45) })),
      step('chop', 'chop', [seasons('lift', 0.9)]),
      step('training', 'training-pot', [seasons('lift', 2), seasons('chop', 0.8)], into('training-22')),
    ],
  ),

  programmeOf(
    'raft',
    'Raft',
    'bought',
    'A stem laid down, roots made along it, the branches become the trees',
    [
      step('arrive', 'slip-pot', [], into('pot-17', 'Received and quarantined, ball kept')),
      step('lay', 'raft-lay', [seasons('arrive', 0.8)], into('tray-wide')),
      step('settle', 'root-check', [seasons('lay', 0.8)], { title: 'Root check along the stem' }),
      step('choose', 'shoot-choice', [seasons('lay', 1)]),
      step(
        'old-roots',
        'root-work',
        [seasons('lay', 1.8), once('settle', 'rooted')],
        into('tray-wide', 'Old root ball off'),
      ),
      firstWire('old-roots'),
      step('training', 'training-pot', [seasons('old-roots', 2)], into('tray-wide')),
    ],
    { vigour: 3, caliper: 12 },
  ),

  programmeOf(
    'swollen-base',
    'Swollen-base succulent',
    'bought',
    'Roots cut and dried hard before planting and before the first water',
    [
      step('arrive', 'slip-pot', [], into('pot-13', 'Received, dry')),
      step('cut', 'dry-wounds', [seasons('arrive', 0.5)], { rootLoss: 1 }),
      step('dry', 'wound-dry', [after('cut')]),
      step('plant', 'plant-dry', [once('dry', 'dry')], into('clay-15', 'Plant higher, flare shown')),
      step('feed', 'feed', [seasons('plant', 0.3)]),
      step('cut-back', 'cut-back', [seasons('plant', 0.9)], { topLoss: 0.4 }),
      step('measure', 'measure', [seasons('plant', 1)]),
      step('cut-2', 'dry-wounds', [seasons('plant', 1.8)], { title: 'Cut roots again, lay dry' }),
      step('dry-2', 'wound-dry', [after('cut-2')]),
      step(
        'plant-2',
        'plant-dry',
        [once('dry-2', 'dry')],
        into('training-22', 'Plant into the training pot, flare shown'),
      ),
    ],
    { vigour: 3, caliper: 25 },
  ),

  programmeOf(
    'bought-liner',
    'Bought liners',
    'bought',
    'Quarantine, wash the old mix out, correct roots, then as home-raised',
    [
      step('arrive', 'slip-pot', [], into('pot-9', 'Received and quarantined')),
      step('look', 'root-check', [after('arrive')], {
        title: 'Quarantine over: pests, roots, label',
        window: { kind: 'lag', opens: 21, closes: 42 },
      }),
      step(
        'correct',
        'root-correct',
        [seasons('arrive', 0.4), once('look', 'clean')],
        into('basket-18', 'First root correction, old mix washed out'),
      ),
      firstWire('correct'),
      step('grade', 'grade', [seasons('correct', 1)]),
      step('roots-2', 'root-work', [seasons('correct', 1.8)], into('basket-25')),
      step('chop', 'chop', [seasons('roots-2', 0.9)], { conditions: caliper(20) }),
      step('training', 'training-pot', [seasons('chop', 0.8), seasons('roots-2', 2)], into('training-22')),
    ],
    { vigour: 3, caliper: 6 },
  ),

  programmeOf(
    'lifted-plant',
    'Lifted garden plant',
    'lifted',
    'Lifted at once: top reduced, fine root kept, mix matched to its soil',
    [step('collect', 'collect', [], into('basket-32')), ...ONCE_LIFTED],
    { vigour: 3, caliper: 60, schools: { insults: 'one' } },
  ),

  programmeOf(
    'lifted-prepared',
    'Garden plant prepared, then lifted',
    'lifted',
    'Top reduced while it stands, lifted with less to carry, fine root kept',
    [
      step('reduce', 'top-reduce', [], into('ground', 'Reduce the top where it stands')),
      step('collect', 'collect', [seasons('reduce', 0.8)], {
        ...into('basket-32', 'Lift: circle, undercut, keep fine root'),
        topLoss: 0.15,
      }),
      ...ONCE_LIFTED,
    ],
    { vigour: 3, caliper: 60, schools: { insults: 'one' } },
  ),

  programmeOf(
    'twin-overlap',
    'Twin by overlapping root bases',
    'bought',
    'Two plants of one kind set so close that their bases grow into one, the lesser leaning out',
    [
      step('arrive', 'slip-pot', [], into('pot-13', 'Received and quarantined, ball kept')),
      step('look', 'root-check', [after('arrive')], {
        title: 'Quarantine over: pests, roots, label',
        window: { kind: 'lag', opens: 21, closes: 42 },
      }),
      step('twin', 'twin-overlap', [seasons('arrive', 0.4), once('look', 'clean')], into('basket-25')),
      firstWire('twin'),
      step('join', 'join-stem', [seasons('twin', 0.9)], { title: 'Join a thin stem where a part is lost' }),
      step('leaves', 'defoliate', [seasons('twin', 1.2)]),
      step('roots-2', 'root-work', [seasons('twin', 1.9)], into('basket-32')),
      step('measure', 'measure', [seasons('roots-2', 0.8)]),
      step('training', 'training-pot', [seasons('roots-2', 2)], into('tray-wide')),
    ],
    { vigour: 3, caliper: 10 },
  ),
];
