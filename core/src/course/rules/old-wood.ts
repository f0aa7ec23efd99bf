import { percent } from '../../words/index.ts';
import type { Operation } from '../../operations/index.ts';
import { cp } from '../../params/index.ts';
import type { Taxon } from '../../taxa/index.ts';
import type { Context, CourseFacts, Demand, Reason, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Most of the top that goes at once while nobody has seen live growth below the cut. */
export const ABOVE_GREEN = cp(0.3, 'share of top');

type KindOf = Pick<Taxon, 'sproutsOld'>;

/** Whether a cut into old wood asks what is alive below it: the kind does not sprout from bare wood. */
const asks = (op: Operation, kind: KindOf, top: number): boolean =>
  op.oldWood === true && !kind.sproutsOld && top > ABOVE_GREEN.value;

/** The share of the top taken: as wanted, or no lower than live growth where none was seen below. */
export function topAbove(op: Operation, kind: KindOf, facts: CourseFacts, top: number): number {
  if (!asks(op, kind, top) || facts.lowGrowth?.seen === true) return top;
  return ABOVE_GREEN.value;
}

/** Old wood: on kinds that do not sprout from it, a cut leaves live growth below it or is not made. */
export function oldWood(ctx: Context, { op, topWanted }: StepInHand): Demand[] {
  const { taxon, facts } = ctx;
  if (!asks(op, taxon, topWanted) || facts.lowGrowth?.seen !== false) return [];
  return [
    {
      rule: 'old wood',
      notBefore: 'never',
      code: 'old-wood',
      offers: 'Grow low shoots first, in full light, or bend a shoot into the line',
      text: `${taxon.name} does not sprout from bare old wood, and no live growth was seen low on the stem {${facts.lowGrowth.on}}: a cut there would kill what is below it`,
      figures: [{ label: 'looked', value: facts.lowGrowth.on, unit: '', basis: 'your data' }],
    },
  ];
}

/** Why the cut is moved up, or may go low. */
export function oldWoodReason(ctx: Context, { op, topWanted, topLoss }: StepInHand): Reason | null {
  const { taxon, facts } = ctx;
  if (!asks(op, taxon, topWanted)) return null;
  const seen = facts.lowGrowth;
  return {
    rule: 'old wood',
    binding: false,
    text: seen?.seen
      ? `${taxon.name} does not sprout from bare old wood: cut above the live growth seen {${seen.on}}, never below it`
      : `${taxon.name} does not sprout from bare old wood, and nobody has noted live growth low on the stem: the cut is moved up and staged, ${percent(topLoss)} of the top instead of ${percent(topWanted)}, always to a live branch`,
    figures: seen?.seen
      ? [{ label: 'live growth seen', value: seen.on, unit: '', basis: 'your data' }]
      : [{ label: 'most at once above live growth', ...ABOVE_GREEN }],
  };
}

export const oldWoodWords: RuleWords = {
  name: 'old wood',
  words: 'Bare old wood',
  wouldChange: 'Live growth seen low on the stem.',
};
export const oldWoodRule: RuleOf<'before'> = { ...oldWoodWords, when: 'before', ask: oldWood };
