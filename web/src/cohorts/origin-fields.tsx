import { typedOrNull } from '../common/numbers';
import type { UseFormReturn } from 'react-hook-form';
import type { NewCohort, Origin } from '@gonimos/contract/cohorts';
import type { Method } from '@gonimos/core/programmes';
import { Field } from '../common/field';

/** Where plants came from that were not raised here, as it is typed. */
export interface OriginInputs {
  source: string;
  permission: string;
  price: string;
  age: string;
  ageHow: Origin['ageHow'];
  apart: boolean;
}
export const NO_ORIGIN: OriginInputs = {
  source: '',
  permission: '',
  price: '',
  age: '',
  ageHow: 'told',
  apart: true,
};

export const fromElsewhere = (method: Method): boolean => method === 'bought' || method === 'lifted';

export function originOf(v: OriginInputs, method: Method): NewCohort['origin'] {
  if (!fromElsewhere(method)) return null;
  const price = typedOrNull(v.price);
  return {
    source: v.source.trim(),
    permission: v.permission.trim(),
    age: typedOrNull(v.age),
    ageHow: v.ageHow,
    price: price === null ? null : Math.round(price * 100),
    quarantine: v.apart,
  };
}

interface Props<T extends OriginInputs> {
  form: UseFormReturn<T>;
  method: Method;
}

/** From whom or where, by whose leave, price, age, and whether they stand apart at first. */
export function OriginFields<T extends OriginInputs>({ form: own, method }: Props<T>) {
  const form = own as unknown as UseFormReturn<OriginInputs>;
  const { errors } = form.formState;
  const text = { className: 'input', autoComplete: 'off' };
  return (
    <fieldset className="card-plain grid gap-4 p-4">
      <legend className="px-1 font-semibold">Where they come from</legend>
      <Field label="Source" hint="grower, garden, hillside" error={errors.source?.message}>
        <input {...text} {...form.register('source')} />
      </Field>
      {method === 'lifted' && (
        <Field
          label="Leave"
          hint="by whose leave they are lifted; wild plants may be protected: local law comes first"
          error={errors.permission?.message}
        >
          <input {...text} {...form.register('permission')} />
        </Field>
      )}
      <div className="grid grid-cols-3 gap-4">
        <Field label="Price" hint="for all" error={errors.price?.message}>
          <input {...text} inputMode="decimal" {...form.register('price')} />
        </Field>
        <Field label="Age" hint="years; empty: not known" error={errors.age?.message}>
          <input {...text} inputMode="decimal" {...form.register('age')} />
        </Field>
        <Field label="Age is">
          <select className="select" {...form.register('ageHow')}>
            <option value="known">known</option>
            <option value="told">told</option>
            <option value="guessed">guessed</option>
          </select>
        </Field>
      </div>
      <label className="flex min-h-12 items-center gap-3">
        <input type="checkbox" className="checkbox checkbox-primary" {...form.register('apart')} />
        Held apart until looked at again, after three weeks
      </label>
    </fieldset>
  );
}
