import { useState } from 'react';
import { editCohort, type Cohort } from '@gonimos/contract/cohorts';
import { PlaceOptions } from '../nursery/place-options';
import { useNursery, usePlaces } from '../nursery/queries';
import { useProgramme } from '../library/queries';
import { SchoolFields } from '../schools/school-fields';
import { useSchoolsPreview } from '../schools/queries';
import { Failure } from '../common/api';
import { Change } from '../common/change';
import { faultsIn } from '../common/check';
import { useContractForm } from '../common/contract-form';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useEditCohort } from '../cohorts/queries';
import { length, measureText, typedLength, unit } from '../common/units';

/** Schools of this cohort, with what they would move before they are saved. */
function Schools({
  cohort,
  value,
  onChange,
}: {
  cohort: Cohort;
  value: Cohort['schools'];
  onChange: (v: Cohort['schools']) => void;
}) {
  const nursery = useNursery().data;
  const programme = useProgramme(cohort.programmeId).data?.programme;
  const look = useSchoolsPreview();
  if (!nursery) return null;
  const changed = JSON.stringify(value) !== JSON.stringify(cohort.schools);
  return (
    <details open={Object.keys(cohort.schools).length > 0}>
      <summary className="cursor-pointer py-2 font-semibold">Schools for this cohort</summary>
      <div className="mt-2 grid gap-4">
        <SchoolFields
          value={value}
          above={{ nursery: nursery.schools, ...(programme ? { programme: programme.schools } : {}) }}
          onChange={(next) => {
            onChange(next);
            look.reset();
          }}
        />
        {changed && (
          <button
            type="button"
            className="btn btn-outline justify-self-start"
            disabled={look.isPending}
            onClick={() => look.mutate({ cohortId: cohort.id, schools: value })}
          >
            {look.isPending ? 'Planning both ways …' : 'What would move'}
          </button>
        )}
        {look.error && <Trouble>{look.error.message}</Trouble>}
        {look.data &&
          (look.data.length === 0 ? (
            <p className="soft">Nothing moves.</p>
          ) : (
            <Change change={look.data[0].change} today={nursery.today} />
          ))}
      </div>
    </details>
  );
}

/** Changes what may be changed; someone else's change in between is shown, never overwritten. */
export function EditCohort({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const places = usePlaces().data ?? [];
  const edit = useEditCohort(cohort.id);
  const [theirs, setTheirs] = useState<Cohort | null>(null);
  const [schools, setSchools] = useState(cohort.schools);
  const { form, errors, send } = useContractForm({
    first: {
      code: cohort.code,
      placeId: cohort.placeId,
      moveAnyway: '',
      goalCaliper: measureText(cohort.goalCaliper),
      goal: cohort.goal,
      note: cohort.note,
    },
    schema: editCohort,
    payload: (v) => ({
      ...v,
      version: (theirs ?? cohort).version,
      schools,
      goalCaliper: typedLength(v.goalCaliper) ?? null,
    }),
  });
  const refused = edit.error instanceof Failure && 'placeId' in faultsIn(edit.error);
  const failed = (e: Error) => {
    if (e instanceof Failure && e.problem?.code === 'conflict' && e.problem.current)
      setTheirs(e.problem.current as Cohort);
  };
  const placeName = (id: string) => places.find((p) => p.id === id)?.name ?? id;
  return (
    <Sheet title={`Change ${cohort.code}`} onClose={onClose}>
      <form className="grid gap-5" onSubmit={send(edit, onClose, failed)} noValidate>
        {theirs ? (
          <Trouble>
            Someone changed it meanwhile: code {theirs.code}, place {placeName(theirs.placeId)}, goal{' '}
            {theirs.goalCaliper === null ? 'none' : length(theirs.goalCaliper)}, note “{theirs.note}”. Save
            again to put yours in its place, or close to keep theirs.
          </Trouble>
        ) : (
          (errors.root ?? edit.error) && <Trouble>{(errors.root ?? edit.error)?.message}</Trouble>
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
        {refused && (
          <Field label="Move it anyway, because" hint="kept with the cohort; leave empty to stay">
            <input className="input" autoComplete="off" {...form.register('moveAnyway')} />
          </Field>
        )}
        <Schools cohort={cohort} value={schools} onChange={setSchools} />
        <Field
          label="Goal caliper"
          hint={`${unit('length')} at the base; empty for none`}
          error={errors.goalCaliper?.message}
        >
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
