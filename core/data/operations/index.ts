import type { Operation } from '../../src/operations/index.ts';
import { CARE } from './care.ts';
import { GROUND } from './ground.ts';
import { PROPAGATION } from './propagation.ts';
import { ROOTS } from './roots.ts';
import { TOP } from './top.ts';

/** The catalogue: windows, losses, minutes and recovery are common practice, no source. */
export const OPERATIONS: readonly Operation[] = [...PROPAGATION, ...ROOTS, ...GROUND, ...TOP, ...CARE];
