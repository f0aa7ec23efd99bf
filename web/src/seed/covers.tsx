import { DayInput } from '../common/day-input';
import { measureText, typedLength, unit } from '../common/units';
import type { Cohort } from '@gonimos/contract/cohorts';
import { newProtection, PROTECTIONS, type Protection } from '@gonimos/contract/seed';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useProtect, useUncover } from './queries';

export function UncoverButton({ cover, today }: { cover: Protection; today: string }) {
  const off = useUncover();
  return (
    <button
      type="button"
      className="no-print btn btn-ghost border border-base-300"
      disabled={off.isPending}
      onClick={() => off.mutate({ id: cover.id, version: cover.version, ended: today })}
    >
      Off today<span className="sr-only">: {cover.kind}</span>
    </button>
  );
}

/** Mesh, fleece, cage or glass over the plants, with the room under it. */
export function CoverSheet({
  cohort,
  today,
  onClose,
}: {
  cohort: Cohort;
  today: string;
  onClose: () => void;
}) {
  const protect = useProtect(cohort.id);
  const { field, day, faults, submit } = useSheetForm({
    first: { kind: 'mesh', clearance: measureText(80), from: today, note: '' },
    schema: newProtection,
    payload: (x) => ({ ...x, clearance: typedLength(x.clearance) }),
    write: protect,
    done: onClose,
  });
  return (
    <Sheet title="Cover" sub={cohort.code} onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {protect.error && <Trouble>{protect.error.message}</Trouble>}
        <Field label="With">
          <select className="select" {...field('kind')}>
            {PROTECTIONS.map((p) => (
              <option key={p}>{p}</option>
            ))}
          </select>
        </Field>
        <Field
          label="Room under it"
          hint={`${unit('length')} from soil to cover; tells when tips would touch it`}
          error={faults.clearance}
        >
          <input className="input" autoComplete="off" {...field('clearance')} />
        </Field>
        <Field label="Since" error={faults.from}>
          <DayInput max={today} {...day('from')} />
        </Field>
        <Field label="Note">
          <input className="input" autoComplete="off" {...field('note')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={protect.isPending}>
          Cover them
        </button>
      </form>
    </Sheet>
  );
}
