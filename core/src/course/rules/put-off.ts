import { toDay } from '../../calendar/index.ts';
import type { Context, Demand, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** What the grower put off stays put off until the day said. */
export function putOff(ctx: Context, { step }: StepInHand): Demand[] {
  const said = ctx.facts.steps[step.key]?.putOff;
  if (!said) return [];
  return [
    {
      rule: 'put off',
      notBefore: toDay(said.until),
      text: `Put off by hand until {${said.until}}: ${said.reason}`,
      figures: [{ label: 'not before', value: said.until, unit: '', basis: 'your data' }],
    },
  ];
}

export const putOffWords: RuleWords = {
  name: 'put off',
  words: 'Put off by hand',
  wouldChange: 'You: record it, or put it off to another day.',
};
export const putOffRule: RuleOf<'before'> = { ...putOffWords, when: 'before', ask: putOff };
