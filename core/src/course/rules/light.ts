import { toDay, toIso } from '../../calendar/index.ts';
import { afterSeasons, type Plant } from '../../plant/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Growing seasons in the light before low buds can be relied on. Common practice, no source. */
const IN_LIGHT = 0.5;

/** Light on low buds: work that leans on them waits until they have stood in the light. */
export function light(ctx: Context, { op }: StepInHand, _plant: Plant): Demand | null {
  const stands = ctx.facts.light;
  if (!op.wantsLight || !stands) return null;
  if (stands.is === 'shade')
    return {
      rule: 'light on low buds',
      notBefore: 'never',
      code: 'in-shade',
      text: `Stands in shade since {${stands.since}}: low buds go dark there. Move it to a place with more light; half a season later this opens`,
      figures: [
        { label: 'in the light before', value: IN_LIGHT, unit: 'growing seasons', basis: 'common practice' },
      ],
    };
  const since = toDay(stands.since);
  const notBefore = afterSeasons(ctx.seasons, since, IN_LIGHT);
  // stock that has always stood here needs no waiting
  if (since <= toDay(ctx.facts.startedOn) || notBefore <= ctx.today) return null;
  return {
    rule: 'light on low buds',
    notBefore,
    text: `Moved into the light {${stands.since}}: low buds are awake from {${toIso(notBefore)}}`,
    figures: [
      { label: 'in the light before', value: IN_LIGHT, unit: 'growing seasons', basis: 'common practice' },
    ],
  };
}

export const lightWords: RuleWords = {
  name: 'light on low buds',
  words: 'Light on low buds',
  wouldChange: 'A place with more light.',
};
export const lightRule: RuleOf<'on the day'> = { ...lightWords, when: 'on the day', ask: light };
