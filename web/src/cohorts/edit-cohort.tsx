import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { editCohort, type Cohort } from '@gonimos/contract/cohorts';
import { PlaceOptions } from '../nursery/place-options';
import { usePlaces } from '../nursery/queries';
import { Failure } from '../shared/api';
import { faultsIn, faultsOf, showFaults } from '../shared/check';
import { Field, Trouble } from '../shared/field';
import { Sheet } from '../shared/sheet';
import { useEditCohort } from './queries';

/** Changes what may be changed; someone else's change in between is shown, never overwritten. */
export function EditCohort({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const places = usePlaces().data ?? [];
  const edit = useEditCohort(cohort.id);
  const [theirs, setTheirs] = useState<Cohort | null>(null);
  const form = useForm({
    defaultValues: {
      code: cohort.code,
      placeId: cohort.placeId,
      school: cohort.school ?? '',
      goalCaliper: cohort.goalCaliper === null ? '' : String(cohort.goalCaliper),
      goal: cohort.goal,
      note: cohort.note,
    },
  });
  const { errors } = form.formState;
  const send = form.handleSubmit((v) => {
    const payload = {
      ...v,
      version: (theirs ?? cohort).version,
      school: (v.school || null) as Cohort['school'],
      goalCaliper: v.goalCaliper.trim() === '' ? null : Number(v.goalCaliper.replace(',', '.')),
    };
    const faults = faultsOf(editCohort, payload);
    showFaults(faults, v, form.setError);
    if (Object.keys(faults).length > 0) return;
    edit.mutate(payload, {
      onSuccess: onClose,
      onError: (e) => {
        if (e instanceof Failure && e.status === 409 && e.problem?.current)
          setTheirs(e.problem.current as Cohort);
        showFaults(faultsIn(e), v, form.setError);
      },
    });
  });
  const placeName = (id: string) => places.find((p) => p.id === id)?.name ?? id;
  return (
    <Sheet title={`Change ${cohort.code}`} onClose={onClose}>
      <form className="grid gap-5" onSubmit={send} noValidate>
        {theirs ? (
          <Trouble>
            Someone changed it meanwhile: code {theirs.code}, place {placeName(theirs.placeId)}, goal{' '}
            {theirs.goalCaliper ?? 'none'}, note “{theirs.note}”. Save again to put yours in its place, or
            close to keep theirs.
          </Trouble>
        ) : (
          edit.error && <Trouble>{edit.error.message}</Trouble>
        )}
        <Field label="Code" error={errors.code?.message}>
          <input className="input" autoComplete="off" {...form.register('code')} />
        </Field>
        <Field
          label="Place"
          hint="the course follows the season of the place"
          error={errors.placeId?.message}
        >
          <select className="select" {...form.register('placeId')}>
            <PlaceOptions />
          </select>
        </Field>
        <Field label="Root and top work" error={errors.school?.message}>
          <select className="select" {...form.register('school')}>
            <option value="">by taxon and age</option>
            <option value="one">one major insult a season</option>
            <option value="combined">together, in balance</option>
          </select>
        </Field>
        <Field label="Goal caliper" hint="mm at the base; empty for none" error={errors.goalCaliper?.message}>
          <input className="input" inputMode="decimal" {...form.register('goalCaliper')} />
        </Field>
        <Field label="Goal" error={errors.goal?.message}>
          <input className="input" {...form.register('goal')} />
        </Field>
        <Field label="Note" error={errors.note?.message}>
          <textarea className="textarea" rows={4} {...form.register('note')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={edit.isPending}>
          Save
        </button>
      </form>
    </Sheet>
  );
}
