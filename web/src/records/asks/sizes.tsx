import { Field } from '../../common/field';
import { typedLengths, unit } from '../../common/units';
import type { Ask } from './ask';

/** Calipers and heights of a sample. */
export const sizes: Ask = {
  subject: 'sizes',
  asked: (op) => op === null || op.asks.includes('sizes'),
  first: () => ({ calipers: '', heights: '' }),
  Fields: ({ form, fault }) => (
    <div className="grid gap-5 xs:grid-cols-2">
      <Field
        label="Calipers"
        hint={unit('length') === 'mm' ? 'mm, a sample: 6.2 5.8 7' : 'in, a sample: 1/4 3/8 0.5'}
        error={fault('calipers')}
      >
        <input className="input" autoComplete="off" {...form.register('details.sizes.calipers')} />
      </Field>
      <Field label="Heights" hint={unit('length')} error={fault('heights')}>
        <input className="input" autoComplete="off" {...form.register('details.sizes.heights')} />
      </Field>
    </div>
  ),
  told: (v) => {
    const told = { calipers: typedLengths(v.calipers), heights: typedLengths(v.heights) };
    return told.calipers.length + told.heights.length === 0 ? null : told;
  },
};
