import { CONTAINERS } from '@gonimos/core/containers';
import { Field } from '../../common/field';
import type { Ask } from './ask';

const litres = (l: number) => `${l < 1 ? l.toFixed(2) : l.toFixed(1)} L`;

/** Into which container. */
export const potting: Ask = {
  subject: 'potting',
  asked: (op) => op?.asks.includes('container') ?? false,
  first: (step) => ({ container: step.container ?? '' }),
  Fields: ({ form, fault }) => (
    <Field label="Into" error={fault('container')}>
      <select className="select" {...form.register('details.potting.container')}>
        {CONTAINERS.map((c) => (
          <option key={c.id} value={c.id}>
            {c.name}
            {c.wall === 'ground' ? '' : `, ${litres(c.litres)}`}
          </option>
        ))}
      </select>
    </Field>
  ),
  told: (v) => (v.container ? { container: v.container } : null),
};
