import { leftOf } from '@gonimos/contract/records';
import { operation } from '@gonimos/core/operations';
import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { percent } from '@gonimos/core/words';
import { NUMBER, type Ask } from './ask';

const SURE = [99, 95, 90, 80, 70, 50, 30];

/** Before severe work, how sure the grower is that a plant lives; at the look after it, how many do. */
export const survival: Ask = {
  subject: 'survival',
  counts: true,
  asked: (op, step) => (op?.asks.includes('alive') ?? false) || step.odds !== null,
  first: () => ({ alive: '', sure: '' }),
  Fields: ({ step, form, fault }) => (
    <>
      {step.operation && operation(step.operation).asks.includes('alive') && (
        <Field
          label="Alive"
          hint={`of ${leftOf(step)}; what is missing is entered as died after the work`}
          error={fault('alive')}
        >
          <input
            {...NUMBER}
            placeholder={String(leftOf(step))}
            {...form.register('details.survival.alive')}
          />
        </Field>
      )}
      {step.odds !== null && (
        <Field
          label="How sure are you that a plant lives through this"
          hint={`the model says ${percent(step.odds)}; the two-week look settles who was nearer`}
          error={fault('sure')}
        >
          <select className="select" {...form.register('details.survival.sure')}>
            <option value="">not said</option>
            {SURE.map((n) => (
              <option key={n} value={n / 100}>
                {n} %
              </option>
            ))}
          </select>
        </Field>
      )}
    </>
  ),
  told: (v) => {
    const told = { alive: typed(v.alive) ?? null, sure: typed(v.sure) ?? null };
    return told.alive === null && told.sure === null ? null : told;
  },
};
