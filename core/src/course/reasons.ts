import { percent } from '../words/index.ts';
import { toIso } from '../calendar/index.ts';
import type { Placement } from './place.ts';
import type { Demand, Reason, StepInHand } from './types.ts';

const plain = (d: Demand): Reason => ({ rule: d.rule, text: d.text, figures: d.figures, binding: false });
const rank = (d: Demand) => (d.notBefore === 'never' ? Infinity : d.notBefore);

/** The decisive reason: the rule that last pushed the step on, else the one asking for the latest day. */
function withBinding({ demands, window, pushedBy }: Placement, fact: StepInHand['fact']): Reason[] {
  const latest =
    pushedBy ?? demands.reduce<Demand | null>((best, d) => (best && rank(best) >= rank(d) ? best : d), null);
  const reasons = demands.map((d) => ({
    ...plain(d),
    binding: d === latest && (!window || d === pushedBy || rank(d) >= window.opens),
  }));
  if (window)
    reasons.unshift({
      rule: 'window',
      text: window.text,
      figures: window.figures,
      binding: !reasons.some((r) => r.binding),
    });
  if (window?.missed && !fact.missed)
    reasons.push({
      rule: 'window',
      text: `The window {${toIso(window.missed.opens)}} to {${toIso(window.missed.closes)}} passed undone`,
      figures: [],
      binding: false,
    });
  return reasons;
}

/** Why a step stands where it stands, or why it stands nowhere. */
export function reasonsOf(found: Placement, { fact }: StepInHand): Reason[] {
  const reasons = withBinding(found, fact);
  if (found.none !== null && !reasons.some((r) => r.text === found.none)) {
    for (const r of reasons) r.binding = false;
    reasons.unshift({ rule: 'window', text: found.none, figures: [], binding: true });
  }
  if (fact.missed)
    reasons.push({
      rule: 'window',
      text: `Missed: the window {${fact.missed.opens}} to {${fact.missed.closes}} went by and nothing was said of it`,
      figures: [
        { label: 'opened', value: fact.missed.opens, unit: '', basis: 'computed' },
        { label: 'closed', value: fact.missed.closes, unit: '', basis: 'computed' },
      ],
      binding: false,
    });
  if (fact.lighten)
    reasons.push({
      rule: 'quarantine',
      text: `Found on opening {${fact.lighten.on}}: ${fact.lighten.found}. The work is lightened to ${percent(fact.lighten.share)}`,
      figures: [
        {
          label: 'share taken',
          value: Math.round(fact.lighten.share * 100),
          unit: '%',
          basis: 'common practice',
        },
      ],
      binding: false,
    });
  if (found.chosen === 'week')
    reasons.push({
      rule: 'labour',
      text: `The levelled year gives it the week of {${fact.week!}}`,
      figures: [{ label: 'week of', value: fact.week!, unit: '', basis: 'computed' }],
      binding: false,
    });
  if (found.chosen === 'hand')
    reasons.push({
      rule: 'set by hand',
      text: `Set by hand to {${fact.moved!.to}}, inside its window${fact.moved!.reason ? `: ${fact.moved!.reason}` : ''}`,
      figures: [{ label: 'day set', value: fact.moved!.to, unit: '', basis: 'your data' }],
      binding: false,
    });
  return reasons;
}
