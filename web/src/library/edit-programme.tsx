import { plural } from '@gonimos/core/words';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { CONTAINERS } from '@gonimos/core/containers';
import { operation, operations } from '@gonimos/core/operations';
import {
  faultsOf,
  hasProgramme,
  type After,
  type Programme,
  type ProgrammeStep,
} from '@gonimos/core/programmes';
import type { SaveProgramme } from '@gonimos/contract/library';
import { SchoolFields } from '../schools/school-fields';
import { useNursery } from '../nursery/queries';
import { Failure, newId } from '../common/api';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { typed } from '../common/numbers';
import { unit } from '../common/units';
import { Loading } from '../common/loading';
import { useProgramme, useSaveProgramme } from './queries';

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

/** One step of a programme being written: what, after what, into what, and on what condition. */
function StepFields({ step, before, faults, first, onChange, onMove, onRemove }: StepProps) {
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
            {operations()
              .toSorted((a, b) => a.name.localeCompare(b.name))
              .map((o) => (
                <option key={o.id} value={o.id}>
                  {o.name}
                </option>
              ))}
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
      {!first && (
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <Field label="After" className="col-span-2">
            <select
              className="select"
              value={wait?.step ?? ''}
              onChange={(e) => setWait({ step: e.target.value })}
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
              onChange={(e) => setWait({ seasons: typed(e.target.value) })}
            />
          </Field>
          <Field label="Days between">
            <input
              className="input"
              inputMode="numeric"
              value={wait?.days ?? ''}
              onChange={(e) => setWait({ days: typed(e.target.value) })}
            />
          </Field>
        </div>
      )}
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Field label="Into" className="col-span-2">
          <select
            className="select"
            value={step.container ?? ''}
            onChange={(e) => set({ container: e.target.value || undefined })}
          >
            <option value="">stays where it is</option>
            {CONTAINERS.map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
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

function Editor({
  from,
  version,
  own,
  copy,
}: {
  from: Programme;
  version: number;
  own: boolean;
  copy: boolean;
}) {
  const navigate = useNavigate();
  const nursery = useNursery().data;
  const save = useSaveProgramme();
  const [key] = useState(() => (copy ? `${from.id.slice(0, 30)}-${newId().slice(0, 4)}` : from.id));
  const [p, set] = useState<Programme>(() => ({
    ...structuredClone(from),
    id: key,
    name: copy ? `${from.name}, ours` : from.name,
  }));
  const faults = faultsOf(p);
  const of = (step: string | null) => faults.filter((f) => f.step === step).map((f) => f.text);
  const steps = (next: ProgrammeStep[]) => set({ ...p, steps: next });
  const move = (i: number, by: 1 | -1) => {
    const j = i + by;
    if (j < 0 || j >= p.steps.length) return;
    const next = [...p.steps];
    [next[i], next[j]] = [next[j], next[i]];
    steps(next);
  };
  const add = () => {
    const last = p.steps.at(-1);
    let n = p.steps.length + 1;
    while (p.steps.some((s) => s.key === `step-${n}`)) n++;
    steps([...p.steps, { key: `step-${n}`, operation: 'measure', after: last ? [{ step: last.key }] : [] }]);
  };
  const based = copy || (!own && !hasProgramme(key)) ? 0 : version;
  const conflict = save.error instanceof Failure && save.error.problem?.code === 'conflict';
  return (
    <div className="grid max-w-4xl gap-5">
      <header>
        <h2 className="text-2xl">{copy ? 'A copy of your own' : `Change ${from.name}`}</h2>
        <p className="soft">
          {copy ? 'Version 1 of a new programme.' : `Becomes version ${version + 1}.`} Running courses keep
          the version they have until you carry them over.
        </p>
      </header>
      {save.error && (
        <Trouble>
          {save.error.message}
          {conflict &&
            ' Somebody kept a version meanwhile: open it anew to see theirs; what you typed is still here.'}
        </Trouble>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="Name" error={of(null).find((t) => t.includes('name'))}>
          <input className="input" value={p.name} onChange={(e) => set({ ...p, name: e.target.value })} />
        </Field>
        <Field label="Vigour at the start" hint="1 failing to 5 rampant">
          <input
            className="input"
            inputMode="numeric"
            value={p.vigour}
            onChange={(e) => set({ ...p, vigour: Number(e.target.value) || 0 })}
          />
        </Field>
      </div>
      <Field label="In a line">
        <input className="input" value={p.summary} onChange={(e) => set({ ...p, summary: e.target.value })} />
      </Field>
      <details>
        <summary className="cursor-pointer py-2 font-semibold">Schools of this programme</summary>
        <SchoolFields
          value={p.schools}
          above={nursery ? { nursery: nursery.schools } : {}}
          onChange={(schools) => set({ ...p, schools })}
        />
      </details>
      <ol className="grid gap-3">
        {p.steps.map((s, i) => (
          <StepFields
            key={s.key}
            step={s}
            first={i === 0}
            before={p.steps.slice(0, i)}
            faults={of(s.key)}
            onChange={(next) => steps(p.steps.map((x, j) => (j === i ? next : x)))}
            onMove={(by) => move(i, by)}
            onRemove={() => steps(p.steps.filter((_, j) => j !== i))}
          />
        ))}
      </ol>
      {of(null).length > 0 && <Trouble>{of(null).join('; ')}</Trouble>}
      <div className="flex flex-wrap gap-3">
        <button type="button" className="btn btn-outline btn-tall" onClick={add}>
          Another step
        </button>
        <button
          type="button"
          className="btn btn-primary btn-tall grow"
          disabled={faults.length > 0 || save.isPending}
          onClick={() => {
            const { id: _id, ...programme } = JSON.parse(JSON.stringify(p)) as SaveProgramme['programme'] & {
              id: string;
            };
            save.mutate(
              {
                programmeId: key,
                basedOn: based,
                copyOf: copy ? from.id : null,
                programme: programme,
              },
              { onSuccess: () => void navigate('/library') },
            );
          }}
        >
          {faults.length > 0 ? `${plural(faults.length, 'thing')} to put right` : 'Keep this version'}
        </button>
      </div>
    </div>
  );
}

/** Writes a programme of one's own, checked as it is typed by the rules that will plan it. */
export function EditProgramme() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const { data, error } = useProgramme(id);
  if (!data) return <Loading error={error} />;
  const copy = query.has('copy') || !data.own;
  return (
    <Editor key={`${id} ${copy}`} from={data.programme} version={data.version} own={data.own} copy={copy} />
  );
}
