import { FormDay } from '../common/form-day';
import { useEffect } from 'react';
import { putOffStep } from '@gonimos/contract/records';
import { addDays, isIsoDate } from '@gonimos/core/calendar';
import { useContractForm } from '../common/contract-form';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from './outcome';
import { PutOffCost } from './put-off-cost';
import { usePutOff, usePutOffCost } from './queries';

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

/** "Not yet": until when and why, with what it costs before it is said; days within the window come first. */
export function PutOffSheet({ step, today, onClose }: Props) {
  const putOff = usePutOff();
  const { form, errors, send } = useContractForm({
    first: { until: addDays(today, 7), reason: '' },
    schema: putOffStep,
    payload: (v) => ({ cohortId: step.cohortId, stepKey: step.stepKey, ...v }),
  });
  const until = form.watch('until');
  const { mutate: ask, data: cost } = usePutOffCost();
  const { cohortId, stepKey } = step;
  useEffect(() => {
    if (isIsoDate(until) && until > today) ask({ cohortId, stepKey, until });
  }, [ask, cohortId, stepKey, until, today]);
  if (putOff.data)
    return (
      <Sheet title="Not yet" sub={`${step.code} · ${step.title}`} onClose={onClose}>
        <Outcome result={putOff.data} today={today} onClose={onClose} />
      </Sheet>
    );
  const within = cost?.within ?? [];
  const closes = cost?.window?.closes ?? today;
  const beyond = [addDays(today, 28), addDays(today, 56)].filter((d) => d > closes);
  const dayButton = (day: string) => (
    <button
      key={day}
      type="button"
      aria-pressed={until === day}
      className={`btn ${until === day ? 'btn-neutral' : 'btn-outline'}`}
      onClick={() => form.setValue('until', day)}
    >
      {shortDate(day, today)}
    </button>
  );
  return (
    <Sheet title="Not yet" sub={`${step.code} · ${step.title}`} onClose={onClose}>
      <form className="grid gap-5" onSubmit={send(putOff)} noValidate>
        {(errors.root ?? putOff.error) && <Trouble>{(errors.root ?? putOff.error)?.message}</Trouble>}
        {within.length > 0 && (
          <fieldset>
            <legend className="mb-1 font-semibold">Within its window</legend>
            <div className="flex flex-wrap gap-2">{within.map(dayButton)}</div>
          </fieldset>
        )}
        {beyond.length > 0 && (
          <fieldset>
            <legend className="mb-1 font-semibold">{within.length > 0 ? 'Beyond it' : 'Until'}</legend>
            <div className="flex flex-wrap gap-2">{beyond.map(dayButton)}</div>
          </fieldset>
        )}
        <Field label="Put off until" error={errors.until?.message}>
          <FormDay form={form} name="until" min={addDays(today, 1)} />
        </Field>
        {cost && <PutOffCost cost={cost} today={today} />}
        <Field label="Why" hint="kept with the step and shown" error={errors.reason?.message}>
          <input className="input" autoComplete="off" {...form.register('reason')} />
        </Field>
        <div className="flex flex-wrap gap-2">
          {REASONS.map((r) => (
            <button
              key={r}
              type="button"
              className="btn btn-outline btn-sm"
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
    </Sheet>
  );
}
