import { Field } from '../../common/field';
import { typedList } from '../../common/numbers';
import type { Ask } from './ask';

/** Calipers and heights of a sample. */
export const sizes: Ask = {
  subject: 'sizes',
  asked: (op) => op === null || op.asks.includes('sizes'),
  first: () => ({ calipers: '', heights: '' }),
  Fields: ({ form, fault }) => (
    <div className="grid gap-5 xs:grid-cols-2">
      <Field label="Calipers" hint="mm, a sample: 6.2 5.8 7" error={fault('calipers')}>
        <input className="input" autoComplete="off" {...form.register('details.sizes.calipers')} />
      </Field>
      <Field label="Heights" hint="mm" error={fault('heights')}>
        <input className="input" autoComplete="off" {...form.register('details.sizes.heights')} />
      </Field>
    </div>
  ),
  told: (v) => {
    const told = { calipers: typedList(v.calipers), heights: typedList(v.heights) };
    return told.calipers.length + told.heights.length === 0 ? null : told;
  },
};
