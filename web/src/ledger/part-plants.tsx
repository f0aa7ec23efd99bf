import { useRef } from 'react';
import { useForm } from 'react-hook-form';
import { splitCohort, type Cohort } from '@gonimos/contract/cohorts';
import { usePromote, useSplit } from '../cohorts/queries';
import { PlaceOptions } from '../nursery/place-options';
import { newId } from '../common/api';
import { faultsIn, faultsOf, showFaults } from '../common/check';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';

/** Parts plants off into a cohort of their own, or one plant to follow by its tag. */
export function PartPlants({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const split = useSplit(cohort.id);
  const promote = usePromote(cohort.id);
  const ids = useRef({ cohort: newId(), plant: newId() });
  const part = useForm({
    defaultValues: { count: '', newCode: `${cohort.code}B`, placeId: cohort.placeId, note: '' },
  });
  const one = useForm({
    defaultValues: { tag: `${cohort.code}·01`, newCode: `${cohort.code}·01`.slice(0, 16), note: '' },
  });
  return (
    <Sheet title="Split or promote" sub={`${cohort.code} · ${cohort.live} alive`} onClose={onClose}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={part.handleSubmit((v) => {
          const payload = { ...v, newId: ids.current.cohort, count: Number(v.count) };
          const faults = faultsOf(splitCohort, payload);
          showFaults(faults, v, part.setError);
          if (Object.keys(faults).length === 0) split.mutate(payload, { onSuccess: onClose });
        })}
      >
        <h3 className="text-lg">Split off</h3>
        {(part.formState.errors.root ?? split.error) && (
          <Trouble>{(part.formState.errors.root ?? split.error)?.message}</Trouble>
        )}
        <Field label="How many" error={part.formState.errors.count?.message}>
          <input
            className="input"
            inputMode="numeric"
            autoComplete="off"
            {...part.register('count', { required: 'is missing' })}
          />
        </Field>
        <Field label="New code" error={part.formState.errors.newCode?.message}>
          <input className="input" autoComplete="off" {...part.register('newCode')} />
        </Field>
        <Field label="Place">
          <select className="select" {...part.register('placeId')}>
            <PlaceOptions />
          </select>
        </Field>
        <button className="btn btn-primary btn-tall" disabled={split.isPending}>
          Split off
        </button>
      </form>
      <form
        className="mt-8 grid gap-4 border-t border-base-300 pt-5"
        noValidate
        onSubmit={one.handleSubmit((v) =>
          promote.mutate({ ...v, newId: ids.current.plant }, { onSuccess: onClose }),
        )}
      >
        <h3 className="text-lg">Promote one plant</h3>
        {promote.error && <Trouble>{promote.error.message}</Trouble>}
        <Field label="Tag" error={faultsIn(promote.error).tag}>
          <input className="input" autoComplete="off" {...one.register('tag')} />
        </Field>
        <Field
          label="Code"
          hint="it becomes a cohort of one, with the history so far"
          error={faultsIn(promote.error).newCode}
        >
          <input className="input" autoComplete="off" {...one.register('newCode')} />
        </Field>
        <button className="btn btn-outline btn-tall" disabled={promote.isPending}>
          Promote
        </button>
      </form>
    </Sheet>
  );
}
