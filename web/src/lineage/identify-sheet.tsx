import type { Cohort } from '@gonimos/contract/cohorts';
import { identifyCohort } from '@gonimos/contract/lineage';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useIdentify } from './queries';

/** Another code or tag, with the reason: swapped labels, a mistake found. The old one is still found. */
export function IdentifySheet({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const name = useIdentify(cohort.id);
  const { field, faults, submit } = useSheetForm({
    first: { newCode: cohort.code, newTag: cohort.tag ?? '', reason: '' },
    schema: identifyCohort,
    payload: (x) => ({
      reason: x.reason,
      newCode: x.newCode === cohort.code ? null : x.newCode,
      newTag: x.newTag === (cohort.tag ?? '') ? null : x.newTag,
    }),
    write: name,
    done: onClose,
  });
  return (
    <Sheet title="Name it anew" sub={cohort.code} onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {name.error && <Trouble>{name.error.message}</Trouble>}
        <Field label="Code" error={faults.newCode ?? faults.code}>
          <input className="input" autoComplete="off" {...field('newCode')} />
        </Field>
        {cohort.tag !== null && (
          <Field label="Tag" error={faults.newTag ?? faults.tag}>
            <input className="input" autoComplete="off" {...field('newTag')} />
          </Field>
        )}
        <Field label="Why" hint="labels swapped, wrong from the start" error={faults.reason}>
          <input className="input" autoComplete="off" {...field('reason')} />
        </Field>
        <p className="soft">If the kind itself is wrong, use ‘Found’ on the cohort: its course follows.</p>
        <button className="btn btn-primary btn-tall" disabled={name.isPending}>
          Name it so
        </button>
      </form>
    </Sheet>
  );
}
