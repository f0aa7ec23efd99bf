import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';
import { LowGrowth } from './low-growth';

const VIGOUR = ['1 failing', '2 weak', '3 fair', '4 strong', '5 rampant'];

/** What a look shows: bud stages, growth low on the stem, vigour. */
export const looks: Ask = {
  subject: 'looks',
  more: true,
  asked: () => true,
  first: () => ({ budsLooked: '', budsReady: '', lowGrowth: '', vigour: '' }),
  Fields: ({ step, op, form, fault }) => (
    <>
      {(op === null || op.budsDecide) && (
        <fieldset className="grid grid-cols-2 gap-4">
          <legend className="mb-1 font-semibold">Bud stages, a walk-through</legend>
          <Field label="Looked at" error={fault('buds.looked')}>
            <input {...NUMBER} {...form.register('details.looks.budsLooked')} />
          </Field>
          <Field label="Ready" hint="buds swollen or open" error={fault('buds.ready') ?? fault('buds')}>
            <input {...NUMBER} {...form.register('details.looks.budsReady')} />
          </Field>
        </fieldset>
      )}
      {(op === null || op.lane === 'top') && (
        <LowGrowth taxonId={step.taxonId} field={form.register('details.looks.lowGrowth')} />
      )}
      <Field label="Vigour" error={fault('vigour')}>
        <select className="select" {...form.register('details.looks.vigour')}>
          <option value="">not judged</option>
          {VIGOUR.map((v, i) => (
            <option key={v} value={i + 1}>
              {v}
            </option>
          ))}
        </select>
      </Field>
    </>
  ),
  told: (v) => {
    const looked = typed(v.budsLooked);
    const told = {
      vigour: typed(v.vigour) ?? null,
      lowGrowth: v.lowGrowth === '' ? null : v.lowGrowth === 'seen',
      buds: looked === undefined ? null : { looked, ready: typed(v.budsReady) ?? 0 },
    };
    return Object.values(told).every((x) => x === null) ? null : told;
  },
};
