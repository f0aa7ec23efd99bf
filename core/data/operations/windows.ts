import type { Edge, Operation, WindowSpec } from '../../src/operations/index.ts';

/** Windows shared by several operations. Common practice, no source. */
export const season = (opens: Edge, closes: Edge): WindowSpec => ({ kind: 'season', opens, closes });
export const outdoors = (opens: Edge, closes: Edge): WindowSpec => ({
  ...{ kind: 'season', opens, closes },
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

export const ROOT_WORK: Operation['windows'] = {
  any: season(['bud-swell', -21], ['bud-break', 5]),
  pine: season(['candles-moving', -28], ['candles-moving', 14]),
  'juniper-cypress': season(['bud-swell', -7], ['bud-break', 28]),
  'evergreen-broadleaf': season(['bud-swell', 0], ['bud-break', 28]),
  'tropical-broadleaf': season(['warm-season', 0], ['warm-season', 90]),
  'swollen-base': season(['warm-season', 7], ['warm-season', 75]),
};
/** The school of opening: where it is not the usual one, it rules every kind that answers to cold. */
export const OPENING: NonNullable<Operation['schoolWindows']> = {
  question: 'opening',
  options: {
    dormant: season(['midwinter', 15], ['bud-swell', -10]),
    'before-buds': season(['bud-swell', -28], ['bud-swell', 0]),
    'white-tips': season(['bud-swell', -12], ['bud-break', 5]),
    autumn: season(['leaf-fall-done', -50], ['leaf-fall-done', -18]),
  },
};
export const DORMANT_TOP: Operation['windows'] = {
  any: season(['midwinter', 20], ['bud-swell', 7]),
  pine: season(['midwinter', 20], ['candles-moving', 0]),
  'tropical-broadleaf': season(['warm-season', 0], ['warm-season', 120]),
  'swollen-base': season(['warm-season', 0], ['warm-season', 90]),
};
export const AFTER_FLUSH: Operation['windows'] = {
  any: season(['flush-hard', -14], ['flush-hard', 35]),
  'tropical-broadleaf': season(['warm-season', 60], ['warm-season', 110]),
  'swollen-base': season(['warm-season', 60], ['warm-season', 110]),
};
export const AUTUMN: Operation['windows'] = {
  any: season(['leaf-fall-done', -30], ['leaf-fall-done', 14]),
  'tropical-broadleaf': season(['warm-season', 190], ['warm-season', 240]),
  'swollen-base': season(['warm-season', 190], ['warm-season', 240]),
};

export const SAW = 'Saws and shears: cut away from the hand, gloves on; blades clean between plants.';
export const WIRE = 'Wire ends spring back: protect your eyes.';
export const DUST = 'Dry mineral mix gives dust: damp it or wear a mask.';
