import { container, hasContainer } from '../containers/index.ts';
import type { Lean } from '../stance/index.ts';
import { FREE_RING, type Taxon } from '../taxa/index.ts';
import type { RootAngle } from './schools.ts';
import type { Overrule, Terms } from './choices.ts';
import type { RootRecord } from './record.ts';
import { roomIn } from './room.ts';

/** What the grower decided for one root, as it is kept. */
export interface OverruleLine {
  root: string;
  action: Overrule['action'];
  length?: number | null;
  turn?: number | null;
}

/** What was decided with a drawing: roots by name, the pot, and where in it the trunk stands, mm from its middle. */
export interface DecidedTerms {
  overruled: readonly OverruleLine[];
  container: string | null;
  aside: number;
  behind: number;
  /** how it leans, once it was decided how it stands; null, or kept before it was asked: not yet */
  lean?: Lean | null;
}

/** What was decided by root, as the solver takes it. */
export const overrules = (lines: readonly OverruleLine[]): Record<string, Overrule> =>
  Object.fromEntries(
    lines.map(({ root, action, length, turn }) => {
      const to: Overrule = { action };
      if (length != null) to.length = length;
      if (turn != null) to.turn = turn;
      return [root, to];
    }),
  );

/**
 * What a plan of cuts is made under: the school, the kind's growth, the pot and where the trunk stands in it.
 * `pot` is the container it would go into where none was decided.
 */
export function termsOf(
  kind: Taxon,
  school: RootAngle,
  pot: string | null,
  record: RootRecord,
  decided: DecidedTerms,
): Terms {
  const id = decided.container ?? pot;
  const into = id && hasContainer(id) ? container(id) : null;
  const room =
    into && !into.shared && into.wall !== 'ground'
      ? roomIn(into, record.front, decided.aside, decided.behind)
      : null;
  // over a rock roots run down, whatever the school has on the level
  const angle = record.under?.kind === 'rock' ? 'descending' : school;
  return {
    school: angle,
    ring: FREE_RING[kind.pace].value,
    room,
    front: decided.lean ? record.front : null,
    overruled: overrules(decided.overruled),
  };
}
