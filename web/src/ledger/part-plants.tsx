import { useRef } from 'react';
import { promotePlant, splitCohort, type Cohort } from '@gonimos/contract/cohorts';
import { usePromote, useSplit } from '../cohorts/queries';
import { PlaceOptions } from '../nursery/place-options';
import { newId } from '../common/api';
import { useContractForm } from '../common/contract-form';
import { typed } from '../common/numbers';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';

/** Parts plants off into a cohort of their own, or one plant to follow by its tag. */
export function PartPlants({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const split = useSplit(cohort.id);
  const promote = usePromote(cohort.id);
  const ids = useRef({ cohort: newId(), plant: newId() });
  const part = useContractForm({
    first: { count: '', newCode: `${cohort.code}B`, placeId: cohort.placeId, note: '' },
    schema: splitCohort,
    payload: (v) => ({ ...v, newId: ids.current.cohort, count: typed(v.count) }),
  });
  const one = useContractForm({
    first: { tag: `${cohort.code}·01`, newCode: `${cohort.code}·01`.slice(0, 16), note: '' },
    schema: promotePlant,
    payload: (v) => ({ ...v, newId: ids.current.plant }),
  });
  return (
    <Sheet title="Split or promote" sub={`${cohort.code} · ${cohort.live} alive`} onClose={onClose}>
      <form className="grid gap-4" noValidate onSubmit={part.send(split, onClose)}>
        <h3 className="text-lg">Split off</h3>
        {(part.errors.root ?? split.error) && <Trouble>{(part.errors.root ?? split.error)?.message}</Trouble>}
        <Field label="How many" error={part.errors.count?.message}>
          <input
            className="input"
            inputMode="numeric"
            autoComplete="off"
            {...part.form.register('count', { required: 'is missing' })}
          />
        </Field>
        <Field label="New code" error={part.errors.newCode?.message}>
          <input className="input" autoComplete="off" {...part.form.register('newCode')} />
        </Field>
        <Field label="Place">
          <select className="select" {...part.form.register('placeId')}>
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
        onSubmit={one.send(promote, onClose)}
      >
        <h3 className="text-lg">Promote one plant</h3>
        {(one.errors.root ?? promote.error) && (
          <Trouble>{(one.errors.root ?? promote.error)?.message}</Trouble>
        )}
        <Field label="Tag" error={one.errors.tag?.message}>
          <input className="input" autoComplete="off" {...one.form.register('tag')} />
        </Field>
        <Field
          label="Code"
          hint="it becomes a cohort of one, with the history so far"
          error={one.errors.newCode?.message}
        >
          <input className="input" autoComplete="off" {...one.form.register('newCode')} />
        </Field>
        <button className="btn btn-outline btn-tall" disabled={promote.isPending}>
          Promote
        </button>
      </form>
    </Sheet>
  );
}
