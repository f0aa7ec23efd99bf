import type { Edge, Windows, WindowSpec } from '../../src/operations/index.ts';

/** Windows shared by several operations. Common practice, no source. */
export const season = (opens: Edge, closes: Edge): WindowSpec => ({ kind: 'season', opens, closes });
export const outdoors = (opens: Edge, closes: Edge): WindowSpec => ({
  kind: 'season',
  opens,
  closes,
  outdoors: true,
});
export const lag = (opens: number, closes: number): WindowSpec => ({ kind: 'lag', opens, closes });
export const growth = (opens: number, days: number): WindowSpec => ({ kind: 'growth', opens, days });
export const warmth = (degreeDays: number, days: number, base = 5): WindowSpec => ({
  kind: 'warmth',
  degreeDays,
  days,
  base,
});
export const swelling = (part: 'stem' | 'base', share: number, days: number): WindowSpec => ({
  kind: 'swelling',
  part,
  share,
  days,
});
/** Days left of a warm season, at least, in which work on kinds ruled by warmth may be done. */
const WARM_LEAST = 28;
/** In the warm season: so many days after it begins to so many before it ends. */
export const warm = (after: number, before: number): WindowSpec => ({
  kind: 'season',
  opens: ['warm-season', after],
  closes: ['warm-ends', -before],
  atLeast: WARM_LEAST,
});

export const ROOT_WORK: Windows = {
  any: season(['bud-swell', -21], ['bud-break', 5]),
  pine: season(['candles-moving', -28], ['candles-moving', 14]),
  'juniper-cypress': season(['bud-swell', -7], ['bud-break', 28]),
  'evergreen-broadleaf': season(['bud-swell', 0], ['bud-break', 28]),
  warm: warm(0, 75),
};
/** The school of opening: where it is not the usual one, it rules every kind that answers to cold. */
export const OPENING: NonNullable<import('../../src/operations/index.ts').Operation['schoolWindows']> = {
  question: 'opening',
  options: {
    dormant: { any: season(['midwinter', 15], ['bud-swell', -10]) },
    'before-buds': { any: season(['bud-swell', -28], ['bud-swell', 0]) },
    'white-tips': { any: season(['bud-swell', -12], ['bud-break', 5]) },
    // in leaf, and only on hardy broadleaf kinds; the rest keep their usual window
    autumn: { 'deciduous-broadleaf': season(['leaf-fall-done', -50], ['leaf-fall-done', -18]) },
  },
};
export const DORMANT_TOP: Windows = {
  any: season(['midwinter', 20], ['bud-swell', 7]),
  pine: season(['midwinter', 20], ['candles-moving', 0]),
  warm: warm(0, 60),
};
export const AFTER_FLUSH: Windows = {
  any: season(['flush-hard', -14], ['flush-hard', 35]),
  warm: warm(45, 40),
};
export const AUTUMN: Windows = {
  any: season(['leaf-fall-done', -30], ['leaf-fall-done', 14]),
  warm: season(['warm-ends', -40], ['warm-ends', 10]),
};
/** Before the buds move, while the ground can be worked. */
export const BEFORE_BUDS: Windows = {
  any: season(['bud-swell', -28], ['bud-break', -5]),
  warm: warm(0, 75),
};

export const SAW = 'Saws and shears: cut away from the hand, gloves on; blades clean between plants.';
export const CARVE =
  'Gouges, chisels and burrs: the plant clamped, away from the hand, gloves, eye protection and a mask.';
export const WIRE = 'Wire ends spring back: protect your eyes.';
export const DUST = 'Dry mineral mix gives dust: damp it or wear a mask.';
