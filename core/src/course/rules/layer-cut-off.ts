import { toIso } from '../../calendar/index.ts';
import { doubleCutOff, doubleMargin, LAYER, layerWarmth } from '../../layers/index.ts';
import type { Context, Demand, Figure, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';
import type { Window } from '../windows/types.ts';

/** Layer cut-off: a double layer is opened only while its second filling comes well before frost. */
export function layerCutOff(ctx: Context, { op }: StepInHand, window: Window): Demand | null {
  if (op.layer !== 'opened') return null;
  const from = Math.max(window.opens, ctx.today);
  const ease = ctx.taxon.layering;
  const margin = doubleMargin(ctx.book, from, ease);
  const figures: Figure[] = [
    ...(margin.kind === 'margin'
      ? [
          {
            label: 'margin before frost, one year in ten less',
            value: margin.p10,
            unit: 'days',
            basis: 'computed' as const,
          },
        ]
      : []),
    {
      label: 'second filling',
      ...layerWarmth(ease).second,
    },
    {
      label: 'settling',
      value: LAYER.settling.value,
      unit: LAYER.settling.unit,
      basis: LAYER.settling.basis,
    },
  ];
  const last = doubleCutOff(ctx.book, from, Math.max(from, window.closes), ease);
  if (last !== null)
    return {
      rule: 'layer cut-off',
      notBefore: window.opens,
      closesBy: last,
      text: `Opened by {${toIso(last)}} the second filling and ${LAYER.settling.value} days of settling end before the first frost in nine years of ten`,
      figures,
    };
  const told =
    margin.kind === 'margin'
      ? `${-margin.p10} days too late in one year of ten`
      : 'the second filling never comes';
  return {
    rule: 'layer cut-off',
    notBefore: 'never',
    code: 'layer-cut-off',
    offers: 'Leave it closed and sever it as a single layer',
    text: `Full on {${toIso(from)}}: opened then, ${told}. Leave it closed and sever it as a single layer`,
    figures,
  };
}

export const layerCutOffWords: RuleWords = {
  name: 'layer cut-off',
  words: 'Layer cut-off',
  wouldChange: 'A warmer place, or an earlier filling.',
};
export const layerCutOffRule: RuleOf<'in the window'> = {
  ...layerCutOffWords,
  when: 'in the window',
  ask: layerCutOff,
};
