import type { PotsProposed } from '@gonimos/contract/fit';
import { container, hasContainer } from '@gonimos/core/containers';
import type { CourseFacts } from '@gonimos/core/course';
import {
  ballLitres,
  ballOf,
  proposePots,
  reachOfRoots,
  roundReach,
  stagesDown,
  standsIn,
} from '@gonimos/core/fit';
import { labStart } from '@gonimos/core/lab';
import { blendOf, recipeFor } from '@gonimos/core/mixes';
import type { RootRecord } from '@gonimos/core/roots';
import { chosen, type Levels } from '@gonimos/core/schools';
import type { SeasonBook } from '@gonimos/core/season';
import type { Remark } from '@gonimos/core/starts';
import { taxon, toleranceOf } from '@gonimos/core/taxa';

interface Asked {
  facts: CourseFacts;
  book: SeasonBook;
  today: string;
  /** schools of the nursery, its programme and the cohort */
  levels: Levels;
}

const optionOf = ({ levels }: Asked, question: 'medium' | 'pot-size'): string =>
  chosen(question, levels).option;

/** The plant of a cohort as it grows, and what is asked of its pot. */
function heldOver(asked: Asked, standing: string, record: RootRecord | null) {
  const { facts, book, today } = asked;
  const { group } = taxon(facts.taxonId);
  const wish = {
    group,
    standing,
    size: optionOf(asked, 'pot-size'),
    blend: blendOf(recipeFor(group, optionOf(asked, 'medium')).parts),
    ...(record ? { reach: reachOfRoots(record) } : {}),
  };
  return { start: labStart(facts, book, today), wish };
}

/** The last container its course comes to, where that is a shallow one. */
function targetOf({ programme }: CourseFacts): string | null {
  const last = programme.steps.findLast((s) => s.container)?.container ?? null;
  return last && hasContainer(last) && /^(show|training)-/.test(last) ? last : null;
}

/** Containers for the next move, and the way down to the pot its course ends in. */
export function proposalsFor(asked: Asked, standing: string, record: RootRecord | null): PotsProposed {
  const { facts } = asked;
  const { start, wish } = heldOver(asked, standing, record);
  const target = targetOf(facts);
  const ball = ballOf(start, standing);
  const litres = ballLitres({ reach: roundReach(ball.across), depth: ball.depth });
  const largest = toleranceOf(taxon(facts.taxonId)).largestRootCut.value;
  const moves = target ? stagesDown(litres, target, largest) : null;
  return {
    now: standsIn(start, wish),
    pots: proposePots(start, wish),
    down: target && moves ? { target, moves } : null,
  };
}

/** What stock that stands in a container would rather stand in; none where it stands well. */
export function potRemarks(asked: Asked): Remark[] {
  const { facts } = asked;
  const { start, wish } = heldOver(asked, facts.firstContainer ?? 'ground', null);
  const [best] = proposePots(start, wish, 1);
  if (!best || best.container === facts.firstContainer) return [];
  const [years, wall] = best.reasons;
  const because = [years, wall].filter(Boolean).join('; ').toLowerCase();
  const text = `at its next move ${container(best.container).name} suits it: ${because}`;
  return [{ code: 'pot-proposed', grave: false, text }];
}
