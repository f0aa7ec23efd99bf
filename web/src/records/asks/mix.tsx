import { LIBRARY_RECIPES } from '@gonimos/core/mixes';
import { Field } from '../../common/field';
import { measureText, typedMeasure, unit } from '../../common/units';
import { useMixes } from '../../mixes/queries';
import type { Ask, Recordable } from './ask';

/** The mix a step wants, and how much of it, where the plan says so. */
function planned(step: Recordable): { id: string; litres: number } | null {
  for (const { what, amount, unit: of } of step.materials ?? []) {
    const recipe = LIBRARY_RECIPES.find((r) => r.name === what);
    if (recipe && of === 'L' && amount) return { id: recipe.id, litres: amount };
  }
  return null;
}

/** Which mix was used and how much: it leaves the bins. */
export const mix: Ask = {
  subject: 'mix',
  asked: (op) => op?.fills !== undefined,
  first: (step) => {
    const plan = planned(step);
    return { mix: plan?.id ?? '', litres: plan ? measureText(plan.litres, 'volume') : '' };
  },
  Fields: function MixFields({ form, fault }) {
    const mixes = useMixes().data?.mixes ?? [];
    return (
      <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-4">
        <Field label="Mix" error={fault('mix')}>
          <select className="select" {...form.register('details.mix.mix')}>
            <option value="">not said</option>
            {mixes.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Used" hint={unit('volume')} error={fault('litres')}>
          <input className="input" autoComplete="off" {...form.register('details.mix.litres')} />
        </Field>
      </div>
    );
  },
  told: (v) => {
    const litres = typedMeasure(v.litres, 'volume');
    return v.mix && litres !== undefined && litres !== 0 ? { mix: v.mix, litres } : null;
  },
};
