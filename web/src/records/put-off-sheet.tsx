import { putOffStep } from '@gonimos/contract/records';
import { addDays } from '@gonimos/core/calendar';
import { useContractForm } from '../common/contract-form';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from './outcome';
import { usePutOff } from './queries';

const REASONS = [
  'no time',
  'pots or mix not here',
  'plants too weak',
  'weather',
  'not ready yet',
  'buds not moving',
];

interface Props {
  step: { cohortId: string; code: string; stepKey: string; title: string };
  today: string;
  onClose: () => void;
}

/** "Not yet": until when and why; the course is planned again around it. */
export function PutOffSheet({ step, today, onClose }: Props) {
  const putOff = usePutOff();
  const { form, errors, send } = useContractForm({
    first: { until: addDays(today, 7), reason: '' },
    schema: putOffStep,
    payload: (v) => ({ cohortId: step.cohortId, stepKey: step.stepKey, ...v }),
  });
  return (
    <Sheet title="Not yet" sub={`${step.code} · ${step.title}`} onClose={onClose}>
      {putOff.data ? (
        <Outcome result={putOff.data} today={today} onClose={onClose} />
      ) : (
        <form className="grid gap-5" onSubmit={send(putOff)} noValidate>
          {(errors.root ?? putOff.error) && <Trouble>{(errors.root ?? putOff.error)?.message}</Trouble>}
          <Field label="Put off until" error={errors.until?.message}>
            <input type="date" className="input" min={addDays(today, 1)} {...form.register('until')} />
          </Field>
          <div className="flex flex-wrap gap-2">
            {[7, 14, 28].map((n) => (
              <button
                key={n}
                type="button"
                className="btn btn-outline"
                onClick={() => form.setValue('until', addDays(today, n))}
              >
                {n / 7} week{n > 7 ? 's' : ''}
              </button>
            ))}
          </div>
          <Field label="Why" hint="kept with the step and shown" error={errors.reason?.message}>
            <input className="input" autoComplete="off" {...form.register('reason')} />
          </Field>
          <div className="flex flex-wrap gap-2">
            {REASONS.map((r) => (
              <button
                key={r}
                type="button"
                className="btn btn-outline"
                onClick={() => form.setValue('reason', r)}
              >
                {r}
              </button>
            ))}
          </div>
          <button className="btn btn-primary btn-tall" disabled={putOff.isPending}>
            Put off and plan again
          </button>
        </form>
      )}
    </Sheet>
  );
}
