import { toDay, toIso } from '../../calendar/index.ts';
import { seasonsBetween, type Plant } from '../../plant/index.ts';
import { MAJOR } from '../../operations/index.ts';
import { chosen } from '../../schools/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

const YOUNG_ENOUGH = 3;

/** Vigorous young deciduous plants and first-year pines bear root and top together; others one at a time. */
function mayCombine(ctx: Context, plant: Plant): boolean {
  const { option } = chosen('insults', ctx.levels);
  if (option !== 'by-age') return option === 'combined';
  const age = seasonsBetween(ctx.seasons, toDay(ctx.facts.startedOn), plant.day);
  const { group } = ctx.taxon;
  if (group === 'pine') return age <= 1.2;
  return plant.vigour >= 4 && age <= YOUNG_ENOUGH && group.startsWith('deciduous');
}

/** One major insult a season, unless the school in force allows a combined sitting. */
export function school(ctx: Context, hand: StepInHand, plant: Plant): Demand | null {
  if (hand.rootLoss <= MAJOR && hand.topLoss <= MAJOR) return null;
  const last = plant.lastMajor;
  if (!last || mayCombine(ctx, plant)) return null;
  const season = ctx.book.seasonOf(last.day);
  // work done once leaves are down belongs to the season that follows
  const counted = last.day > ctx.seasons.growing(season).to ? season + 1 : season;
  const free = ctx.seasons.growing(counted).to + 1;
  const who = chosen('insults', ctx.levels).from;
  return {
    rule: 'school',
    notBefore: free,
    text: `One major insult a season (school of the ${who}): ‘${last.title}’ was on {${toIso(last.day)}}, so not before {${toIso(free)}}`,
    figures: [
      { label: 'major is more than', value: MAJOR * 100, unit: '% of root or top', basis: 'common practice' },
    ],
  };
}

export const schoolWords: RuleWords = {
  name: 'school',
  words: 'School',
  wouldChange: 'The school chosen for the nursery, the programme or this cohort.',
};
export const schoolRule: RuleOf<'on the day'> = { ...schoolWords, when: 'on the day', ask: school };
