import { operation } from '@gonimos/core/operations';
import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';

/** Plants that something stays on, that it was taken off, and that it had bitten. */
export const tending: Ask = {
  subject: 'fittings',
  counts: true,
  asked: (op, step) => op?.tends?.how === 'looks' && step.live > 1,
  first: () => ({ stays: '', off: '', biting: '', sprang: '' }),
  Fields: ({ step, form, fault }) => {
    const what = operation(step.operation!).tends!.what;
    const wire = what === 'wire';
    const told = (name: string) => typed(form.getValues(`details.fittings.${name}`)) || 0;
    // what stays on is looked at again
    const finish = () => form.setValue('finished', !(told('stays') > 0));
    const one = (name: string) => {
      form.setValue(`details.fittings.${name}`, String(told(name) + 1), { shouldDirty: true });
      finish();
    };
    const counted = ({ name, label, error }: { name: string; label: string; error: string | undefined }) => (
      <div className="grid content-start gap-2">
        <button type="button" className="btn btn-outline min-h-16 text-lg" onClick={() => one(name)}>
          {label} +1
        </button>
        <Field label={label} error={error}>
          <input {...NUMBER} {...form.register(`details.fittings.${name}`, { onChange: finish })} />
        </Field>
      </div>
    );
    return (
      <fieldset className="grid gap-3">
        <legend className="mb-1 font-semibold">Plant by plant: a tap for each; empty: it came off all</legend>
        <div className="grid grid-cols-3 gap-3">
          {counted({
            name: 'stays',
            label: wire ? 'Wired' : 'Stays on',
            error: fault('tend.stays') ?? fault('tend'),
          })}
          {counted({ name: 'off', label: wire ? 'Bare' : 'Taken off', error: fault('tend.off') })}
          {counted({ name: 'biting', label: 'Biting', error: fault('tend.biting') })}
        </div>
        <p className="soft text-sm">Where it bit it is cut off, not unwound.</p>
        {wire && (
          <Field
            label="Sprang back"
            hint="of those now bare; empty: not looked at"
            error={fault('tend.sprang')}
          >
            <input {...NUMBER} {...form.register('details.fittings.sprang')} />
          </Field>
        )}
      </fieldset>
    );
  },
  told: (v) =>
    [v.stays, v.off, v.biting].every((t) => !t)
      ? null
      : {
          on: [],
          off: [],
          kept: [],
          tend: {
            stays: typed(v.stays) ?? 0,
            off: typed(v.off) ?? 0,
            biting: typed(v.biting) ?? 0,
            sprang: typed(v.sprang) ?? null,
          },
        },
};
