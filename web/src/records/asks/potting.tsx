import { container, containers } from '@gonimos/core/containers';
import { Field } from '../../common/field';
import { FormDay } from '../../common/form-day';
import { ProposedPots } from '../../pots/proposed';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';
import { volume } from '../../common/units';

/** Into which container, and whether those they stood in can be used again. */
export const potting: Ask = {
  subject: 'potting',
  asked: (op) => op?.asks.includes('container') ?? false,
  first: (step) => ({ container: step.container ?? '', back: '', until: '' }),
  Fields: ({ step, form, fault }) => (
    <div className="grid grid-cols-[minmax(0,1fr)_9rem] items-end gap-4">
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
      <Field label="Old ones back" error={fault('back')}>
        <input {...NUMBER} placeholder="to the shelf" {...form.register('details.potting.back')} />
      </Field>
      {step.container && form.watch('details.potting.container') !== step.container && (
        <Field
          label="For now, until"
          hint={`then on into ${container(step.container).name}; empty: it stays`}
          error={fault('until')}
          className="col-span-2"
        >
          <FormDay form={form} name="details.potting.until" />
        </Field>
      )}
      <div className="col-span-2">
        <ProposedPots
          cohortId={step.cohortId}
          chosen={form.watch('details.potting.container')}
          onChoose={(c) => form.setValue('details.potting.container', c)}
        />
      </div>
    </div>
  ),
  told: (v) =>
    v.container ? { container: v.container, back: typed(v.back) ?? null, until: v.until || null } : null,
};
