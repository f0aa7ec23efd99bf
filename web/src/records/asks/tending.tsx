import { operation } from '@gonimos/core/operations';
import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';

/** Plants that something stays on, that it was taken off, and that it had bitten. */
export const tending: Ask = {
  subject: 'fittings',
  counts: true,
  asked: (op, step) => op?.tends?.how === 'looks' && step.live > 1,
  first: () => ({ stays: '', off: '', biting: '' }),
  Fields: ({ step, form, fault }) => {
    const what = operation(step.operation!).tends!.what;
    const number = (name: string) => ({
      ...NUMBER,
      ...form.register(`details.fittings.${name}`, {
        // what stays on is looked at again
        onChange: () => form.setValue('finished', !(Number(form.getValues('details.fittings.stays')) > 0)),
      }),
    });
    const wire = what === 'wire';
    return (
      <fieldset className="grid grid-cols-3 gap-3">
        <legend className="mb-1 font-semibold">Plants; empty: it came off all</legend>
        <Field label={wire ? 'Wired' : 'Stays on'} error={fault('tend.stays') ?? fault('tend')}>
          <input {...number('stays')} />
        </Field>
        <Field label={wire ? 'Bare' : 'Taken off'} error={fault('tend.off')}>
          <input {...number('off')} />
        </Field>
        <Field label="Biting" hint="cut off" error={fault('tend.biting')}>
          <input {...number('biting')} />
        </Field>
      </fieldset>
    );
  },
  told: (v) =>
    [v.stays, v.off, v.biting].every((t) => !t)
      ? null
      : {
          on: [],
          off: [],
          tend: { stays: typed(v.stays) ?? 0, off: typed(v.off) ?? 0, biting: typed(v.biting) ?? 0 },
        },
};
