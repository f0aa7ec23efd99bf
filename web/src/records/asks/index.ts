import type { NewRecord } from '@gonimos/contract/records';
import type { Operation } from '@gonimos/core/operations';
import { emergence } from './emergence';
import type { Ask, Inputs, Put, Recordable } from './ask';
import { group } from './group';
import { holds } from './holds';
import { layer } from './layer';
import { looks } from './looks';
import { mix } from './mix';
import { pot } from './pot';
import { potting } from './potting';
import { roots } from './roots';
import { sizes } from './sizes';
import { sprouts } from './sprouts';
import { standing } from './standing';
import { stem } from './stem';
import { survival } from './survival';
import { tending } from './tending';

export type { Ask, Inputs, Put, Recordable };

/** What the sheet can ask, in order. A new subject adds its line. */
const ASKS: readonly Ask[] = [
  emergence,
  layer,
  tending,
  survival,
  potting,
  mix,
  pot,
  roots,
  stem,
  group,
  holds,
  sizes,
  sprouts,
  standing,
  looks,
];

/** What is asked of a step, or of a look between steps. */
export const asksOf = (op: Operation | null, step: Recordable): Ask[] =>
  ASKS.filter((a) => a.asked(op, step));

/** What the sheet begins with, by subject: two asks may be of one subject, as a look at wire and wire that goes on. */
export const firstBy = (asks: readonly Ask[], step: Recordable): Inputs['details'] => {
  const first: Inputs['details'] = {};
  for (const a of asks) first[a.subject] = { ...first[a.subject], ...a.first(step) };
  return first;
};

const isNothing = (x: unknown): boolean => x === null || (Array.isArray(x) && x.length === 0);

/** What two asks tell of one subject: what either says stands, where the other says nothing. */
function both(one: object, other: object): object {
  const said = Object.entries(other).filter(([, x]) => !isNothing(x));
  return { ...one, ...Object.fromEntries(said) };
}

/** What was typed, as the record tells it. */
export function toldBy(asks: readonly Ask[], typed: Inputs['details']): NewRecord['details'] {
  const told: Record<string, object> = {};
  for (const a of asks) {
    const said = a.told(typed[a.subject] ?? {});
    if (said) told[a.subject] = told[a.subject] ? both(told[a.subject], said) : said;
  }
  return told;
}
