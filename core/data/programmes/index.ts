import type { Programme } from '../../src/programmes/index.ts';
import { FROM_CUTTINGS } from './cuttings.ts';
import { FORMS } from './forms.ts';
import { IN_THE_GROUND } from './ground.ts';
import { FROM_SEED } from './seed.ts';

export const PROGRAMMES: readonly Programme[] = [...FROM_SEED, ...IN_THE_GROUND, ...FROM_CUTTINGS, ...FORMS];
