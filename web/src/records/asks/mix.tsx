import { LIBRARY_RECIPES } from '@gonimos/core/mixes';
import { shortDate } from '../../common/dates';
import { Field } from '../../common/field';
import { measureText, typedMeasure, unit, volume } from '../../common/units';
import { useMixes } from '../../mixes/queries';
import { useToday } from '../../nursery/queries';
import type { Ask, Recordable } from './ask';

const YES = 'yes';

/** The mix a step wants, and how much of it, where the plan says so. */
function planned(step: Recordable): { id: string; litres: number } | null {
  for (const { what, amount, unit: of } of step.materials ?? []) {
    const recipe = LIBRARY_RECIPES.find((r) => r.name === what);
    if (recipe && of === 'L' && amount) return { id: recipe.id, litres: amount };
  }
  return null;
}

/** Which mix was used and how much: it leaves the bins or a batch; and old mix that was put by. */
export const mix: Ask = {
  subject: 'mix',
  asked: (op) => op?.fills !== undefined,
  first: (step) => {
    const plan = planned(step);
    return {
      mix: plan?.id ?? '',
      litres: plan ? measureText(plan.litres, 'volume') : '',
      batch: '',
      back: '',
      healthy: '',
    };
  },
  Fields: function MixFields({ form, fault }) {
    const { mixes = [], batches = [] } = useMixes().data ?? {};
    const today = useToday();
    const chosen = String(form.watch('details.mix.mix') ?? '');
    const putBy = String(form.watch('details.mix.back') ?? '').trim() !== '';
    const made = batches.filter((b) => b.mix === chosen);
    return (
      <div className="grid gap-4">
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
        {made.length > 0 && (
          <Field label="Taken from" error={fault('batch')}>
            <select className="select" {...form.register('details.mix.batch')}>
              <option value="">the bins, mixed for it</option>
              {made.map((b) => (
                <option key={b.id} value={b.id}>
                  the batch of {today ? shortDate(b.madeOn, today) : b.madeOn}, {volume(b.left)} left
                </option>
              ))}
            </select>
          </Field>
        )}
        <div className="grid grid-cols-[7rem_minmax(0,1fr)] items-end gap-4">
          <Field label="Old mix put by" hint={unit('volume')} error={fault('back')}>
            <input className="input" autoComplete="off" {...form.register('details.mix.back')} />
          </Field>
          {putBy && (
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="checkbox"
                checked={form.watch('details.mix.healthy') === YES}
                onChange={(e) => form.setValue('details.mix.healthy', e.target.checked ? YES : '')}
              />
              <span>
                Looked through: no pest, no rot
                {fault('healthy') && <strong className="block text-error">{fault('healthy')}</strong>}
              </span>
            </label>
          )}
        </div>
      </div>
    );
  },
  told: (v) => {
    const litres = typedMeasure(v.litres, 'volume');
    if (!v.mix || litres === undefined || litres === 0) return null;
    return {
      mix: v.mix,
      litres,
      batch: v.batch || null,
      back: typedMeasure(v.back, 'volume') ?? 0,
      healthy: v.healthy === YES,
    };
  },
};
