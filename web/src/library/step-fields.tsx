import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { containers } from '@gonimos/core/containers';
import { operation, operations } from '@gonimos/core/operations';
import type { After, ProgrammeStep } from '@gonimos/core/programmes';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { typed } from '../common/numbers';
import { unit } from '../common/units';

// a programme has dozens of steps: their long lists are made once, and not again with each key that is typed
const OperationOptions = memo(function OperationOptions() {
  return operations()
    .toSorted((a, b) => a.name.localeCompare(b.name))
    .map((o) => (
      <option key={o.id} value={o.id}>
        {o.name}
      </option>
    ));
});
const ContainerOptions = memo(function ContainerOptions() {
  return containers().map((c) => (
    <option key={c.id} value={c.id}>
      {c.name}
    </option>
  ));
});

const titleOf = (s: ProgrammeStep) => s.title ?? operation(s.operation).name;

interface StepProps {
  step: ProgrammeStep;
  before: ProgrammeStep[];
  faults: string[];
  first: boolean;
  onChange: (s: ProgrammeStep) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
}

/** What a step waits for, and how long after it. */
function WaitFields({
  wait,
  before,
  onChange,
}: {
  wait: After | undefined;
  before: readonly ProgrammeStep[];
  onChange: (more: Partial<After>) => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <Field label="After" className="col-span-2">
        <select
          className="select"
          value={wait?.step ?? ''}
          onChange={(e) => onChange({ step: e.target.value })}
        >
          <option value="">choose</option>
          {before.map((b) => (
            <option key={b.key} value={b.key}>
              {titleOf(b)}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Seasons between">
        <input
          className="input"
          inputMode="decimal"
          value={wait?.seasons ?? ''}
          onChange={(e) => onChange({ seasons: typed(e.target.value) })}
        />
      </Field>
      <Field label="Days between">
        <input
          className="input"
          inputMode="numeric"
          value={wait?.days ?? ''}
          onChange={(e) => onChange({ days: typed(e.target.value) })}
        />
      </Field>
    </div>
  );
}

/** One step of a programme being written: what, after what, into what, and on what condition. */
export function StepFields({ step, before, faults, first, onChange, onMove, onRemove }: StepProps) {
  const wait: After | undefined = step.after[0];
  const set = (more: Partial<ProgrammeStep>) => onChange({ ...step, ...more });
  const setWait = (more: Partial<After>) => {
    const next = { ...(wait ?? { step: '' }), ...more };
    set({ after: next.step === '' ? [] : [next, ...step.after.slice(1)] });
  };
  const condition = step.conditions?.[0];
  return (
    <li className={`card-plain grid gap-3 p-4 ${faults.length > 0 ? 'border-error' : ''}`}>
      <div className="grid gap-3 sm:grid-cols-[1fr_1fr_auto]">
        <Field label="Work">
          <select
            className="select"
            value={step.operation}
            onChange={(e) => set({ operation: e.target.value })}
          >
            <OperationOptions />
          </select>
        </Field>
        <Field label="Called" hint="empty: as the work">
          <input
            className="input"
            value={step.title ?? ''}
            onChange={(e) => set({ title: e.target.value || undefined })}
          />
        </Field>
        <span className="flex items-start gap-1 pt-7">
          <button
            type="button"
            className="btn btn-ghost btn-square"
            aria-label={`Move ${titleOf(step)} up`}
            onClick={() => onMove(-1)}
          >
            <ArrowUp size={18} />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-square"
            aria-label={`Move ${titleOf(step)} down`}
            onClick={() => onMove(1)}
          >
            <ArrowDown size={18} />
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-square"
            aria-label={`Take out ${titleOf(step)}`}
            onClick={onRemove}
          >
            <Trash2 size={18} />
          </button>
        </span>
      </div>
      {!first && <WaitFields wait={wait} before={before} onChange={setWait} />}
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Field label="Into" className="col-span-2">
          <select
            className="select"
            value={step.container ?? ''}
            onChange={(e) => set({ container: e.target.value || undefined })}
          >
            <option value="">stays where it is</option>
            <ContainerOptions />
          </select>
        </Field>
        <Field label="Caliper at least" hint={unit('length')}>
          <MeasureInput
            quantity="length"
            value={condition?.measure === 'caliper' ? condition.atLeast : undefined}
            onChange={(mm) =>
              set({
                conditions: mm === undefined ? undefined : [{ measure: 'caliper', atLeast: mm, unit: 'mm' }],
              })
            }
          />
        </Field>
        <Field
          label="Root taken"
          hint={`%, usual ${Math.round(operation(step.operation).rootLoss.value * 100)}`}
        >
          <input
            className="input"
            inputMode="numeric"
            value={step.rootLoss === undefined ? '' : Math.round(step.rootLoss * 100)}
            onChange={(e) => {
              const n = typed(e.target.value);
              set({ rootLoss: n === undefined ? undefined : n / 100 });
            }}
          />
        </Field>
      </div>
      {step.after.length > 1 && (
        <p className="soft text-sm">
          Also after:{' '}
          {step.after
            .slice(1)
            .map((a) => a.step)
            .join(', ')}
        </p>
      )}
      {faults.map((f) => (
        <p key={f} className="text-sm font-semibold text-error">
          {f}
        </p>
      ))}
    </li>
  );
}
