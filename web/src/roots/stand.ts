import { posed, type RootRecord } from '@gonimos/core/roots';
import { leanFrom, UPRIGHT, type Lean, type Stance } from '@gonimos/core/stance';
import type { Act, Sheet } from './drawing';

/** Heights and angles as they are typed: to a tenth of a millimetre, and whole degrees within what can be drawn. */
export const rounded = (record: RootRecord): RootRecord => ({
  ...record,
  roots: record.roots.map((r) => ({
    ...r,
    height: Math.round(r.height * 10) / 10,
    angle: Math.max(-90, Math.min(90, Math.round(r.angle))),
  })),
});

/** A lean as it is kept: whole degrees. */
export const keptLean = ({ tilt, towards }: Lean): Lean => ({
  tilt: Math.round(tilt),
  towards: Math.round(towards) % 360,
});

/** The plant on the bench stood otherwise: its roots are seen against the level as it leans then. */
export function standing({ record, decided }: Sheet, to: Stance): Act {
  const lean = keptLean(to);
  const turned = posed(record, { height: 0, ...leanFrom(decided.lean ?? UPRIGHT, lean) });
  return {
    do: 'stand',
    record: { ...rounded(turned), front: to.front },
    decided: { lean, aside: to.aside, behind: to.behind },
  };
}
