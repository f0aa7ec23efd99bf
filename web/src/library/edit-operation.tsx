import { saveOperation } from '@gonimos/contract/own';
import { editOfOperation, libraryOperation, type OperationEdit } from '@gonimos/core/library';
import { hasOperation, operation, operations, type Operation } from '@gonimos/core/operations';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { newId } from '../common/api';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { typed, typedOrNull } from '../common/numbers';
import { useSheetForm } from '../common/use-sheet-form';
import { useBasedOn, Versions } from './own';
import { useSaveOperation } from './queries';
import { WindowFields } from './window-fields';
import { measureText, typedMeasure, unit } from '../common/units';

interface Props {
  from: Operation;
  copy: boolean;
  basedOn: number;
}

const percentText = (share: number) => String(Math.round(share * 1000) / 10);
const share = (text: string) => (typed(text) ?? NaN) / 100;

const first = (e: OperationEdit, name: string) => ({
  name,
  windows: e.windows,
  rootLoss: percentText(e.rootLoss),
  topLoss: percentText(e.topLoss),
  recovery: String(e.recovery),
  established: e.established === null ? '' : String(e.established),
  guard: measureText(e.guard, 'temperature'),
  minutes: String(e.minutes),
  crew: String(e.crew),
  skilled: e.skilled,
  tools: e.tools.join(', '),
  aftercare: e.aftercare,
  caution: e.caution,
});

type Typed = ReturnType<typeof first>;

const editOf = (v: Typed) => ({
  ...v,
  rootLoss: share(v.rootLoss),
  topLoss: share(v.topLoss),
  recovery: typed(v.recovery),
  established: typedOrNull(v.established),
  guard: typedMeasure(v.guard, 'temperature') ?? null,
  minutes: typed(v.minutes),
  crew: typed(v.crew),
  tools: v.tools
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean),
});

const number = { className: 'input', inputMode: 'decimal' as const, autoComplete: 'off' };

interface CostsProps {
  field: (name: 'rootLoss' | 'topLoss' | 'recovery' | 'established' | 'guard') => object;
  fault: (name: string) => string | undefined;
}

/** What work takes of the plant, and the rest it asks for. */
function PlantCosts({ field, fault }: CostsProps) {
  return (
    <section className="grid gap-3">
      <h3 className="text-lg">What it costs the plant</h3>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-3">
        <Field label="Takes of the root" hint="%" error={fault('rootLoss')}>
          <input {...number} {...field('rootLoss')} />
        </Field>
        <Field label="Takes of the top" hint="%" error={fault('topLoss')}>
          <input {...number} {...field('topLoss')} />
        </Field>
        <Field label="Rest before the next" hint="growing seasons" error={fault('recovery')}>
          <input {...number} {...field('recovery')} />
        </Field>
        <Field label="Stood undisturbed" hint="growing seasons, empty: need not" error={fault('established')}>
          <input {...number} {...field('established')} />
        </Field>
        <Field
          label="Coldest night after it"
          hint={`${unit('temperature')}, empty: any`}
          error={fault('guard')}
        >
          <input {...number} {...field('guard')} />
        </Field>
      </div>
    </section>
  );
}

function Editor({ from, copy, basedOn: newest }: Props) {
  // what is kept meanwhile by others is a conflict, not what this was made from
  const [basedOn] = useState(newest);
  const navigate = useNavigate();
  const save = useSaveOperation();
  const like = from.like ?? from.id;
  const [ownId] = useState(() => (copy ? `${like.slice(0, 30)}-${newId().slice(0, 4)}` : from.id));
  const back = () => void navigate('/library/operations');
  const { v, set, field, faults, submit } = useSheetForm({
    first: first(editOfOperation(from), copy ? `${from.name}, ours` : from.name),
    schema: saveOperation,
    payload: (x) => ({ ownId, like, basedOn: copy ? 0 : basedOn, edit: editOf(x) }),
    write: save,
    done: back,
  });
  const fault = (name: string) => faults[`edit.${name}`];
  const library = libraryOperation(like);
  const follows = [...new Set(library.aftercare.map((a) => a.operation))];
  return (
    <form className="grid max-w-4xl gap-6" noValidate onSubmit={submit}>
      <header>
        <h2 className="text-2xl">{copy ? `A copy of ‘${from.name}’` : `Change ‘${from.name}’`}</h2>
        <p className="soft">
          {copy
            ? `Plays the part of ‘${library.name}’ in every rule, and stands beside it in programmes.`
            : `Becomes version ${basedOn + 1} of yours. Every course with it is planned again.`}{' '}
          What you change here counts as your data.
        </p>
      </header>
      {save.error && <Trouble>{save.error.message}</Trouble>}
      <Field label="Name" error={fault('name')} className="max-w-md">
        <input className="input" {...field('name')} />
      </Field>
      <section className="grid gap-3">
        <h3 className="text-lg">When</h3>
        {library.schoolWindows && (
          <p className="soft text-sm">
            A school may choose other windows than these; that choice still holds.
          </p>
        )}
        <WindowFields value={v.windows} onChange={(windows) => set({ windows })} faults={faults} />
      </section>
      <PlantCosts field={field} fault={fault} />
      <section className="grid gap-3">
        <h3 className="text-lg">What it takes of you</h3>
        <div className="grid grid-cols-2 gap-3 md:grid-cols-3">
          <Field label="Minutes a plant" error={fault('minutes')}>
            <input {...number} {...field('minutes')} />
          </Field>
          <Field label="People at once" error={fault('crew')}>
            <input {...number} {...field('crew')} />
          </Field>
          <label className="flex items-center gap-3 pt-7 font-semibold">
            <input
              type="checkbox"
              className="checkbox"
              checked={v.skilled}
              onChange={(e) => set({ skilled: e.target.checked })}
            />
            Wants practice
          </label>
        </div>
        <Field label="Tools" hint="with commas between" error={fault('tools')}>
          <input className="input" {...field('tools')} />
        </Field>
      </section>
      {follows.length > 0 && (
        <fieldset className="grid gap-1">
          <legend className="mb-1 font-head text-lg font-bold">Followed by</legend>
          <div className="grid sm:grid-cols-2">
            {follows.map((id) => (
              <label key={id} className="flex min-h-11 items-center gap-3">
                <input
                  type="checkbox"
                  className="checkbox"
                  checked={v.aftercare.includes(id)}
                  onChange={(e) =>
                    set({
                      aftercare: e.target.checked
                        ? [...v.aftercare, id]
                        : v.aftercare.filter((a) => a !== id),
                    })
                  }
                />
                {operation(id).name}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div>
        {library.caution && (
          <p className="mb-2 font-semibold text-warning">{library.caution} Local rules come first.</p>
        )}
        <Field label="To mind besides" hint="said wherever it is worked" error={fault('caution')}>
          <input className="input" {...field('caution')} />
        </Field>
      </div>
      <button className="btn btn-primary btn-tall max-w-md" disabled={save.isPending}>
        {copy ? 'Keep the copy' : 'Keep this version'}
      </button>
      {!copy && <Versions kind="operation" id={from.id} onGone={back} />}
    </form>
  );
}

/** Changes an operation, or copies it beside the one it plays the part of. */
export function EditOperation() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const { basedOn, error } = useBasedOn('operation', id);
  if (!hasOperation(id)) return <p>There is no such operation among {operations().length}.</p>;
  if (basedOn === null) return <Loading error={error} />;
  const copy = query.has('copy');
  return <Editor key={`${id} ${copy}`} from={operation(id)} copy={copy} basedOn={basedOn} />;
}
