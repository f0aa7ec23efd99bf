import type { NewRecord } from '@gonimos/contract/records';
import type { Operation } from '@gonimos/core/operations';
import { emergence } from './emergence';
import type { Ask, Inputs, Put, Recordable } from './ask';
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
  holds,
  sizes,
  sprouts,
  standing,
  looks,
];

/** What is asked of a step, or of a look between steps. */
export const asksOf = (op: Operation | null, step: Recordable): Ask[] =>
  ASKS.filter((a) => a.asked(op, step));

/** What was typed, as the record tells it. */
export const toldBy = (asks: readonly Ask[], typed: Inputs['details']): NewRecord['details'] =>
  Object.fromEntries(
    asks.flatMap((a) => {
      const told = a.told(typed[a.subject] ?? {});
      return told ? [[a.subject, told]] : [];
    }),
  );
