import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { faultsOf, hasProgramme, type Programme, type ProgrammeStep } from '@gonimos/core/programmes';
import type { SaveProgramme } from '@gonimos/contract/library';
import { SchoolFields } from '../schools/school-fields';
import { useNursery } from '../nursery/queries';
import { Failure, newId } from '../common/api';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { NumberInput } from '../common/number-input';
import { useProgramme, useSaveProgramme } from './queries';
import { StepFields } from './step-fields';

function Head({ name, version, copy }: { name: string; version: number; copy: boolean }) {
  return (
    <header>
      <h2 className="text-2xl">{copy ? 'A copy of your own' : `Change ${name}`}</h2>
      <p className="soft">
        {copy ? 'Version 1 of a new programme.' : `Becomes version ${version}.`} Running courses keep the
        version they have until you carry them over.
      </p>
    </header>
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
      <Head name={from.name} version={copy ? 1 : version + 1} copy={copy} />
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
          <NumberInput value={p.vigour} onChange={(vigour) => set({ ...p, vigour })} />
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
