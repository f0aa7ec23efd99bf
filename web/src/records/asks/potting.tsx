import { containers } from '@gonimos/core/containers';
import { Field } from '../../common/field';
import type { Ask } from './ask';
import { volume } from '../../common/units';

/** Into which container. */
export const potting: Ask = {
  subject: 'potting',
  asked: (op) => op?.asks.includes('container') ?? false,
  first: (step) => ({ container: step.container ?? '' }),
  Fields: ({ form, fault }) => (
    <Field label="Into" error={fault('container')}>
      <select className="select" {...form.register('details.potting.container')}>
        {containers().map((c) => (
          <option key={c.id} value={c.id}>
            {c.name}
            {c.wall === 'ground' ? '' : `, ${volume(c.litres)}`}
          </option>
        ))}
      </select>
    </Field>
  ),
  told: (v) => (v.container ? { container: v.container } : null),
};
