import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { CAUSES, CULL_REASONS } from '@gonimos/contract/ledger';
import { newId } from '../common/api';
import type { Inputs } from './asks';

export interface LossInput {
  id: string;
  kind: 'lost_before_emergence' | 'lost' | 'culled';
  count: string;
  cause: string;
}
/** Losses by kind and cause, a line for each. */
export function Losses({ form, pending }: { form: UseFormReturn<Inputs>; pending: number }) {
  const losses = useFieldArray({ control: form.control, name: 'losses', keyName: 'row' });
  const { errors } = form.formState;
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 font-semibold">Losses</legend>
      {losses.fields.map((f, i) => {
        const kind = form.watch(`losses.${i}.kind`);
        return (
          <div key={f.row} className="grid grid-cols-[5rem_1fr] gap-2 xs:grid-cols-[5rem_1fr_1fr]">
            <input
              inputMode="numeric"
              autoComplete="off"
              className="input w-full"
              aria-label={`Loss ${i + 1}, how many`}
              placeholder="0"
              {...form.register(`losses.${i}.count`)}
            />
            <select
              className="select w-full"
              aria-label={`Loss ${i + 1}, kind`}
              {...form.register(`losses.${i}.kind`)}
            >
              {pending > 0 && <option value="lost_before_emergence">before it was up</option>}
              <option value="lost">lost</option>
              <option value="culled">culled</option>
            </select>
            <select
              className="select col-span-2 w-full xs:col-span-1"
              aria-label={`Loss ${i + 1}, cause`}
              {...form.register(`losses.${i}.cause`)}
            >
              {(kind === 'culled' ? CULL_REASONS : CAUSES).map((c) => (
                <option key={c}>{c}</option>
              ))}
            </select>
          </div>
        );
      })}
      {errors.losses?.message && <p className="text-sm font-semibold text-error">{errors.losses.message}</p>}
      <button
        type="button"
        className="btn btn-ghost justify-self-start border border-base-300"
        onClick={() => losses.append({ id: newId(), kind: 'lost', count: '', cause: 'unknown' })}
      >
        Another cause
      </button>
    </fieldset>
  );
}
