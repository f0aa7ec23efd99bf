import { MAPLES_TO_HAWTHORNS } from './broadleaf-a.ts';
import { OAKS_TO_MUME } from './broadleaf-b.ts';
import { CRABS_TO_STEWARTIA } from './broadleaf-c.ts';
import type { Kind } from './row.ts';

/** Deciduous broadleaf kinds, and oaks. */
export const BROADLEAF: readonly Kind[] = [...MAPLES_TO_HAWTHORNS, ...OAKS_TO_MUME, ...CRABS_TO_STEWARTIA];
