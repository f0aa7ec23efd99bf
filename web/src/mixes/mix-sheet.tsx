import { useState } from 'react';
import { saveMix, type Mix } from '@gonimos/contract/mixes';
import { COMPONENTS, OLD_MIX, PARTS_MOST, type Part, type Under } from '@gonimos/core/mixes';
import { faultsOf } from '../common/check';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { newId } from '../common/api';
import { Sheet } from '../common/sheet';
import { unit } from '../common/units';
import { useSaveMix } from './queries';

interface Props {
  mix: Mix;
  /** a mix of its own is made of it */
  copy: boolean;
  onClose: () => void;
}

const COARSE: Part[] = [{ component: 'pumice-coarse', parts: 1 }];

/** A name to keep a new mix under, from its words. */
const keyOf = (name: string): string =>
  `${name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40)}-${newId().slice(0, 4)}`;

interface PartsProps {
  title: string;
  parts: readonly Part[];
  onChange: (parts: Part[]) => void;
}

function Parts({ title, parts, onChange }: PartsProps) {
  const free = COMPONENTS.filter((c) => !parts.some((p) => p.component === c.id));
  const change = (i: number, more: Partial<Part>) =>
    onChange(parts.map((p, k) => (k === i ? { ...p, ...more } : p)));
  return (
    <fieldset className="grid gap-2">
      <legend className="mb-1 font-semibold">{title}</legend>
      {parts.map((p, i) => (
        <div key={p.component} className="grid grid-cols-[5rem_minmax(0,1fr)_auto] gap-2">
          <NumberInput
            aria-label={`${title}: parts of ${i + 1}`}
            value={p.parts}
            onChange={(n) => change(i, { parts: n })}
          />
          <select
            className="select"
            aria-label={`${title}: component ${i + 1}`}
            value={p.component}
            onChange={(e) => change(i, { component: e.target.value })}
          >
            {COMPONENTS.filter((c) => c.id === p.component || free.includes(c)).map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </select>
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => onChange(parts.filter((_, k) => k !== i))}
          >
            Out<span className="sr-only">, {i + 1}</span>
          </button>
        </div>
      ))}
      {parts.length < PARTS_MOST && (
        <button
          type="button"
          className="btn btn-ghost justify-self-start border border-base-300"
          onClick={() => onChange([...parts, { component: free[0].id, parts: 1 }])}
        >
          Another component
        </button>
      )}
    </fieldset>
  );
}

interface UnderProps {
  under: Under | null;
  onChange: (under: Under | null) => void;
  error: string | undefined;
}

/** The coarse zone below the roots, where there is one. */
function UnderFields({ under, onChange, error }: UnderProps) {
  return (
    <div className="grid gap-3">
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="checkbox"
          checked={under !== null}
          onChange={(e) => onChange(e.target.checked ? { share: 0.2, parts: COARSE } : null)}
        />
        Coarser below the roots
      </label>
      {under && (
        <>
          <Field label="Of the depth" hint="%, a twentieth to half" error={error} className="w-40">
            <NumberInput
              value={Math.round(under.share * 100)}
              onChange={(n) => onChange({ ...under, share: n / 100 })}
            />
          </Field>
          <Parts
            title="Below, by volume"
            parts={under.parts}
            onChange={(parts) => onChange({ ...under, parts })}
          />
        </>
      )}
    </div>
  );
}

/** Which part a fault is of: 'under.parts[1].parts' is the second of those below. */
function placeOf(field: string): string {
  const below = field.startsWith('under') ? 'Below: ' : '';
  const at = /\[(\d+)\]/.exec(field);
  return at ? `${below}Part ${Number(at[1]) + 1}` : `${below}Parts`;
}

/** A mix by parts, and what a drain test of it found. */
export function MixSheet({ mix, copy, onClose }: Props) {
  const save = useSaveMix();
  const [name, setName] = useState(copy ? `${mix.name}, ours` : mix.name);
  const [parts, setParts] = useState<Part[]>([...mix.parts]);
  const [under, setUnder] = useState<Under | null>(mix.under);
  const [depth, setDepth] = useState<number | undefined>(mix.drain?.depth);
  const [air, setAir] = useState(mix.drain ? Math.round(mix.drain.air * 100) : NaN);
  const [key] = useState(() => (copy ? keyOf(mix.name) : mix.id));
  const tested = depth !== undefined || Number.isFinite(air);
  const payload = {
    mixId: key,
    version: copy ? 0 : mix.version,
    name,
    parts,
    under,
    drain: tested ? { depth: depth ?? NaN, air: air / 100 } : null,
  };
  const faults = faultsOf(saveMix, payload);
  return (
    <Sheet
      title={copy ? 'A mix of your own' : mix.name}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full"
          disabled={Object.keys(faults).length > 0 || save.isPending}
          onClick={() => save.mutate(payload, { onSuccess: onClose })}
        >
          Keep this mix
        </button>
      }
    >
      <div className="grid gap-5">
        {save.error && <Trouble>{save.error.message}</Trouble>}
        <Field label="Name" error={faults.name}>
          <input className="input" maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        </Field>
        <Parts title="Parts by volume" parts={parts} onChange={setParts} />
        <UnderFields under={under} onChange={setUnder} error={faults['under.share']} />
        {[...parts, ...(under?.parts ?? [])].some((p) => p.component === OLD_MIX) && (
          <p className="border-l-4 border-accent pl-3">
            Old mix goes in only where no pest and no rot was found in it; it is put by when a container is
            opened.
          </p>
        )}
        {Object.entries(faults)
          .filter(([field]) => field.startsWith('parts') || field.startsWith('under.parts'))
          .slice(0, 2)
          .map(([field, why]) => (
            <Trouble key={field}>
              {placeOf(field)} {why}
            </Trouble>
          ))}
        <fieldset className="grid grid-cols-2 gap-3">
          <legend className="mb-1 font-semibold">
            Drain test
            <span className="soft block text-sm font-normal">
              Fill a pot, close its holes, water to the line, let it drain an hour into a measure: what ran
              out is the air. Yours takes the place of the model for this mix.
            </span>
          </legend>
          <Field label="Depth of the mix" hint={unit('length')} error={faults['drain.depth']}>
            <MeasureInput quantity="length" value={depth} onChange={setDepth} />
          </Field>
          <Field label="Air found" hint="% of the volume" error={faults['drain.air']}>
            <NumberInput value={air} onChange={setAir} />
          </Field>
        </fieldset>
      </div>
    </Sheet>
  );
}
