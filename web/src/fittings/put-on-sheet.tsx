import { FormDay } from '../common/form-day';
import { useMemo, useRef } from 'react';
import { newRecord, workOn } from '@gonimos/contract/records';
import { addDays } from '@gonimos/core/calendar';
import { FITTINGS } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';
import { AROUND } from '@gonimos/core/wire';
import { useRegister } from '../cohorts/queries';
import { newId } from '../common/api';
import { useContractForm } from '../common/contract-form';
import { Field, Trouble } from '../common/field';
import { Pick } from '../common/pick';
import { Sheet } from '../common/sheet';
import { useRecordWork } from '../records/queries';
import { WireFields } from './wire-fields';

interface Props {
  today: string;
  /** the cohort it is about, where the page is that of one */
  cohortId?: string;
  onClose: () => void;
}

/** Something is put on plants that no step of their course puts there: what, how thick, and when it has to go. */
export function PutOnSheet({ today, cohortId = '', onClose }: Props) {
  const register = useRegister().data;
  const work = useRecordWork();
  const own = useRef(newId());
  const { form, errors, send } = useContractForm({
    first: { cohortId, what: 'stake', note: '', due: addDays(today, 60) },
    schema: newRecord,
    payload: ({ cohortId: id, ...fitting }) => {
      const { id: _, ...record } = workOn({ id: '', cohortId: id, stepKey: null, on: today });
      return { ...record, details: { fittings: { on: [{ ...fitting, id: own.current }], off: [] } } };
    },
  });
  const choices = useMemo(
    () =>
      (register ?? [])
        .filter((c) => c.growing)
        .map((c) => ({ id: c.id, name: `${c.code} ${taxon(c.taxonId).name}` })),
    [register],
  );
  const chosen = form.watch('cohortId');
  const what = form.watch('what');
  const around = AROUND.find((a) => a === what) ?? null;
  return (
    <Sheet title="Put something on" onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={send(work, onClose)}>
        {(errors.root ?? work.error) && <Trouble>{(errors.root ?? work.error)?.message}</Trouble>}
        <Pick
          label="Cohort"
          choices={choices}
          value={chosen}
          error={errors.cohortId?.message}
          onChoose={(id) => form.setValue('cohortId', id)}
        />
        <Field label="What">
          <select className="select" {...form.register('what')}>
            {FITTINGS.map((f) => (
              <option key={f}>{f}</option>
            ))}
          </select>
        </Field>
        {around && chosen && (
          <WireFields
            key={`${chosen} ${around}`}
            what={around}
            cohortId={chosen}
            plants={register?.find((c) => c.id === chosen)?.live ?? 1}
            onTake={(note, due) => {
              form.setValue('note', note);
              form.setValue('due', due);
            }}
          />
        )}
        <Field
          label="Gauge, finish or number"
          hint="where it matters, as ‘2.5 mm, bright’"
          error={errors.note?.message}
        >
          <input className="input" autoComplete="off" {...form.register('note')} />
        </Field>
        <Field label="To be off, or looked at, by" error={errors.due?.message}>
          <FormDay form={form} name="due" min={today} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={work.isPending}>
          Put it on
        </button>
      </form>
    </Sheet>
  );
}
