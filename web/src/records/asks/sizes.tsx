import { Field } from '../../common/field';
import { typedLength, typedLengths, unit } from '../../common/units';
import { Column } from '../../sizes/column';
import type { Ask } from './ask';

/** Calipers and heights of a sample. */
export const sizes: Ask = {
  subject: 'sizes',
  asked: (op) => op === null || op.asks.includes('sizes'),
  first: () => ({ calipers: '', at: '', heights: '' }),
  Fields: ({ form, step, fault }) => (
    <div className="grid gap-4 sm:grid-cols-2">
      <Field
        label="Calipers"
        hint={unit('length') === 'mm' ? 'mm, a sample: 6.2 5.8 7' : 'in, a sample: 1/4 3/8 0.5'}
        error={fault('calipers')}
      >
        <input className="input" autoComplete="off" {...form.register('details.sizes.calipers')} />
      </Field>
      <Field label="Taken at" hint={`${unit('length')} above the soil; empty: the base`} error={fault('at')}>
        <input className="input" autoComplete="off" {...form.register('details.sizes.at')} />
      </Field>
      <Column
        cohortId={step.cohortId}
        plants={step.live}
        typed={form.watch('details.sizes.calipers') ?? ''}
        onChange={(text) =>
          form.setValue('details.sizes.calipers', text, { shouldDirty: true, shouldValidate: true })
        }
      />
      <Field label="Heights" hint={unit('length')} error={fault('heights')}>
        <input className="input" autoComplete="off" {...form.register('details.sizes.heights')} />
      </Field>
    </div>
  ),
  told: (v) => {
    const told = {
      calipers: typedLengths(v.calipers),
      at: typedLength(v.at) ?? 0,
      heights: typedLengths(v.heights),
    };
    return told.calipers.length + told.heights.length === 0 ? null : told;
  },
};
