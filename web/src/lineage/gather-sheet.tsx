import { typed } from '../common/numbers';
import type { Cohort } from '@gonimos/contract/cohorts';
import { fusePlants, mergeCohort } from '@gonimos/contract/lineage';
import { useRegister } from '../cohorts/queries';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useFuse, useMerge } from './queries';

/** Puts plants in with another cohort, or sets stems together to become one plant. */
export function GatherSheet({ cohort, onClose }: { cohort: Cohort; onClose: () => void }) {
  const merge = useMerge(cohort.id);
  const fuse = useFuse(cohort.id);
  const others = (useRegister().data ?? []).filter(
    (r) => r.taxonId === cohort.taxonId && r.id !== cohort.id && r.live > 0,
  );
  const into = useSheetForm({
    first: { intoId: '', count: '', note: '' },
    schema: mergeCohort,
    // the first of the list until another is chosen: the list may come after the sheet
    payload: (x) => ({ ...x, intoId: x.intoId || (others[0]?.id ?? ''), count: typed(x.count) }),
    write: merge,
    done: onClose,
  });
  const clump = useSheetForm({
    first: { stems: '', into: '', note: '' },
    schema: fusePlants,
    payload: (x) => ({ ...x, stems: typed(x.stems), into: typed(x.into) }),
    write: fuse,
    done: onClose,
  });
  const number = { className: 'input', inputMode: 'numeric' as const, autoComplete: 'off' };
  return (
    <Sheet title="Merge or fuse" sub={`${cohort.code} · ${cohort.live} alive`} onClose={onClose}>
      {others.length > 0 && (
        <form className="mb-8 grid gap-4 border-b border-base-300 pb-6" noValidate onSubmit={into.submit}>
          <h3 className="text-lg">Put in with others</h3>
          {merge.error && <Trouble>{merge.error.message}</Trouble>}
          <Field label="How many" error={into.faults.count}>
            <input {...number} {...into.field('count')} />
          </Field>
          <Field label="With" hint="of the same kind" error={into.faults.intoId}>
            <select className="select" {...into.field('intoId')}>
              {others.map((o) => (
                <option key={o.id} value={o.id}>
                  {o.code}, {o.live} alive
                </option>
              ))}
            </select>
          </Field>
          <button className="btn btn-primary btn-tall" disabled={merge.isPending}>
            Put them in
          </button>
        </form>
      )}
      <form className="grid gap-4" noValidate onSubmit={clump.submit}>
        <h3 className="text-lg">Fuse stems</h3>
        {fuse.error && <Trouble>{fuse.error.message}</Trouble>}
        {clump.faults[''] && <Trouble>{clump.faults['']}</Trouble>}
        <div className="grid grid-cols-2 gap-4">
          <Field label="Stems" error={clump.faults.stems}>
            <input {...number} {...clump.field('stems')} />
          </Field>
          <Field label="Become plants" error={clump.faults.into}>
            <input {...number} {...clump.field('into')} />
          </Field>
        </div>
        <Field label="Note" hint="clump, twin trunk, fused trunk">
          <input className="input" autoComplete="off" {...clump.field('note')} />
        </Field>
        <button className="btn btn-outline btn-tall" disabled={fuse.isPending}>
          Fuse them
        </button>
      </form>
    </Sheet>
  );
}
