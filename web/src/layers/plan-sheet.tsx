import { DayInput } from '../common/day-input';
import { typed } from '../common/numbers';
import { length, measureText, typedLength, unit, volume } from '../common/units';
import { percent } from '@gonimos/core/words';
import { useDeferredValue, useState } from 'react';
import {
  askLayers,
  newLayers,
  type AskLayers,
  type ParentLayers,
  type LayerPlan,
} from '@gonimos/contract/layers';
import { newId } from '../common/api';
import { faultsOf, withoutId } from '../common/check';
import { readable } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { ParentDrawing } from './parent-drawing';
import { useLayerPlan, useMakeLayers } from './queries';
import { VERDICT_WORDS } from './words';

interface Drawn {
  id: string;
  code: string;
  stem: string;
  height: string;
  diameter: string;
  how: string;
  branches: string;
  keeps: string;
  becomes: string;
  leaves: string;
}
const toLayer = (d: Drawn) => ({
  ...d,
  height: typedLength(d.height),
  diameter: typedLength(d.diameter),
  branches: typed(d.branches),
  keeps: typed(d.keeps),
});

/** A stem with nothing on it yet. */
function freeStem({ layers }: ParentLayers): string {
  const used = new Set(layers.map((l) => l.stem));
  return ['leader', 'second stem', 'third stem', 'fourth stem'].find((s) => !used.has(s)) ?? 'another stem';
}

/** Draws layers on the parent before anything is cut: what to cut, what is wrong, whether a double layer has time. */
interface DrawnProps {
  drawn: Drawn;
  /** what to cut for it, once that can be told */
  cut: LayerPlan['cuts'][number] | undefined;
  fault: (name: string) => string | undefined;
  change: (more: Partial<Drawn>) => void;
  leaveOut: (() => void) | null;
  today: string;
}

/** One layer being planned: where it is cut, what is kept, and how it is done. */
function DrawnFields({ drawn: d, cut, fault, change, leaveOut, today }: DrawnProps) {
  const field = (name: keyof Drawn) => ({
    value: d[name],
    onChange: (e: { target: { value: string } }) => change({ [name]: e.target.value }),
  });
  return (
    <fieldset className="card-plain grid gap-4 p-4">
      <legend className="px-1 font-semibold">{d.code || 'Layer'}</legend>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Code" error={fault('code')}>
          <input className="input" {...field('code')} />
        </Field>
        <Field label="Stem" error={fault('stem')}>
          <input className="input" {...field('stem')} />
        </Field>
        <Field label="Height" hint={`${unit('length')} above the soil`} error={fault('height')}>
          <input className="input" autoComplete="off" {...field('height')} />
        </Field>
        <Field label="Thickness" hint={`${unit('length')} at the ring`} error={fault('diameter')}>
          <input className="input" autoComplete="off" {...field('diameter')} />
        </Field>
        <Field label="Branches above" hint="that it keeps" error={fault('branches')}>
          <input className="input" inputMode="numeric" {...field('branches')} />
        </Field>
        <Field label="Branches below" hint="kept on the parent" error={fault('keeps')}>
          <input className="input" inputMode="numeric" {...field('keeps')} />
        </Field>
      </div>
      <Field label="How">
        <select className="select" {...field('how')}>
          <option value="ring">ring of bark off</option>
          <option value="tourniquet">tourniquet of wire</option>
        </select>
      </Field>
      <Field label="It becomes">
        <input className="input" placeholder="a leaning single trunk" {...field('becomes')} />
      </Field>
      <Field label="The parent becomes">
        <input className="input" placeholder="chopped to the low branch" {...field('leaves')} />
      </Field>
      {cut && (
        <div className="rounded-box bg-[var(--rest)] px-4 py-3">
          <p>
            {d.how === 'ring' ? (
              <>
                Ring <strong>{length(cut.ring)}</strong> wide, <strong>{length(cut.girth)}</strong> around
              </>
            ) : (
              <>
                Wire <strong>{length(cut.wire)}</strong> for a girth of {length(cut.girth)}
              </>
            )}
            ; moss {volume(cut.moss)}, film {length(cut.film[0])} × {length(cut.film[1])}; pot later:{' '}
            {cut.pot ?? 'none large enough, the ground'}.
          </p>
          <p className="mt-1">
            <strong>{VERDICT_WORDS[cut.decision.verdict]}.</strong> {readable(cut.decision.text, today)}
          </p>
        </div>
      )}
      {leaveOut && (
        <button
          type="button"
          className="btn btn-ghost justify-self-start border border-base-300"
          onClick={leaveOut}
        >
          Leave {d.code || 'it'} out
        </button>
      )}
    </fieldset>
  );
}

export function PlanSheet({
  data,
  goalId,
  today,
  onClose,
}: {
  data: ParentLayers;
  goalId: string | null;
  today: string;
  onClose: () => void;
}) {
  const { parent } = data;
  const make = useMakeLayers(parent.id);
  const [on, setOn] = useState(today);
  const next = (n: number): Drawn => ({
    id: newId(),
    code: `${parent.code}L${data.layers.length + n}`,
    stem: freeStem(data),
    how: 'ring',
    height: measureText(Math.max(300, 1400 - 500 * (n - 1))),
    diameter: measureText(18 + 4 * (n - 1)),
    branches: '3',
    keeps: '2',
    becomes: '',
    leaves: '',
  });
  const [drawn, setDrawn] = useState<Drawn[]>(() => [next(1)]);
  const ask = { on, layers: drawn.map(toLayer) };
  const deferred = useDeferredValue(JSON.stringify(ask));
  const askable = askLayers.isValidSync(JSON.parse(deferred));
  const plan = useLayerPlan(parent.id, askable ? (JSON.parse(deferred) as AskLayers) : null).data;
  const payload = { ...ask, goalId };
  const wrong = faultsOf(newLayers, payload);
  const faults = { ...wrong, ...make.faults };
  const change = (i: number, more: Partial<Drawn>) =>
    setDrawn(drawn.map((d, k) => (k === i ? { ...d, ...more } : d)));
  const valid = ask.layers.filter((l) => Number(l.height) > 0 && Number(l.diameter) > 0);
  return (
    <Sheet
      title="Plan layers"
      sub={`${parent.code} · nothing is cut until you say so`}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full"
          disabled={make.isPending || Object.keys(wrong).length > 0}
          onClick={() =>
            make.mutate(withoutId(newLayers, payload), {
              onSuccess: onClose,
            })
          }
        >
          {drawn.length === 1 ? 'This layer is ringed' : `These ${drawn.length} layers are ringed`}
        </button>
      }
    >
      <div className="grid gap-5">
        <p className="rounded-box bg-[var(--slip)] px-4 py-3">
          <strong>Mind:</strong> knives and saws cut towards the free side, never towards the hand. Local
          rules come first.
        </p>
        {make.error && <Trouble>{make.error.message}</Trouble>}
        <div className="mx-auto w-full max-w-72">
          <ParentDrawing
            base={parent.base}
            layers={data.layers}
            drawn={valid.map((l) => ({ ...l, height: l.height!, diameter: l.diameter! }))}
          />
        </div>
        {plan?.faults.map((f) => (
          <p key={f.layer + f.text} className="font-semibold text-accent">
            {f.layer}: {f.text}
          </p>
        ))}
        {plan && (
          <p className="soft">
            All that hang take {percent(plan.crownTaken)} of the crown, by cross-section.
          </p>
        )}
        <Field
          label="Ringed on"
          hint="an expected day may be tried out; what is cut is entered with its real one"
          error={faults.on}
        >
          <DayInput value={on} onChange={(day) => setOn(day)} />
        </Field>
        {drawn.map((d, i) => (
          <DrawnFields
            key={d.id}
            drawn={d}
            cut={plan?.cuts.find((c) => c.code === d.code)}
            fault={(name) => faults[`layers[${i}].${name}`]}
            change={(more) => change(i, more)}
            leaveOut={drawn.length > 1 ? () => setDrawn(drawn.filter((x) => x.id !== d.id)) : null}
            today={today}
          />
        ))}
        <button
          type="button"
          className="btn btn-outline btn-tall"
          disabled={drawn.length >= 12}
          onClick={() => setDrawn([...drawn, next(drawn.length + 1)])}
        >
          One more, further down
        </button>
      </div>
    </Sheet>
  );
}
