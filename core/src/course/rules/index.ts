import { orderRule } from './order.ts';
import { quarantineRule } from './quarantine.ts';
import { stockRule } from './stock.ts';
import { putOffRule } from './put-off.ts';
import { oldWoodRule } from './old-wood.ts';
import { layerCutOffRule } from './layer-cut-off.ts';
import { recoveryRule } from './recovery.ts';
import { schoolRule } from './school.ts';
import { establishmentRule } from './establishment.ts';
import { conditionRule } from './condition.ts';
import { reserveRule } from './reserve.ts';
import { exclusiveRule } from './exclusive.ts';
import { lightRule } from './light.ts';
import { exposureRule } from './exposure.ts';
import { weatherGuardRule } from './weather-guard.ts';
import { budsRule } from './buds.ts';
import type { RuleOf } from './rule.ts';

/** Rules that speak before a day is looked for. */
export const BEFORE: readonly RuleOf<'before'>[] = [
  orderRule,
  quarantineRule,
  stockRule,
  putOffRule,
  oldWoodRule,
];

/** Rules that look at the window that was found. */
export const IN_THE_WINDOW: readonly RuleOf<'in the window'>[] = [layerCutOffRule];

/** Rules that look at the plant, the place and the other work as they will be on the day in question. */
export const ON_THE_DAY: readonly RuleOf<'on the day'>[] = [
  recoveryRule,
  schoolRule,
  establishmentRule,
  conditionRule,
  reserveRule,
  exclusiveRule,
  lightRule,
  budsRule,
  exposureRule,
  weatherGuardRule,
];
