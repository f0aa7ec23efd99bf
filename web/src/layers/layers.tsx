import { percent } from '@gonimos/core/words';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Layer, ParentLayers } from '@gonimos/contract/layers';
import { taxon } from '@gonimos/core/taxa';
import { useRegister } from '../cohorts/queries';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { EventSheet } from './event-sheet';
import { inOrder, LayerCard } from './layer-card';
import { ParentDrawing } from './parent-drawing';
import { PlanSheet } from './plan-sheet';
import { useFed, useParentLayers, useParents } from './queries';
import { SafeDates } from './safe-dates';
import { length, temperature } from '../common/units';

/** Layers on a parent, top down, each with its verdict; the calendar of safe dates; new ones planned. */
export function Layers() {
  const parents = useParents();
  const rows = useRegister().data ?? [];
  const today = useToday();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('parent') ?? parents.data?.[0]?.id ?? '';
  const { data, error } = useParentLayers(chosen);
  if (!parents.data || !today) return <Loading error={parents.error} />;
  const known = new Set(parents.data.map((p) => p.id));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      <Field label="Parent" className="max-w-md">
        <select
          className="select"
          value={chosen}
          onChange={(e) => {
            const next = new URLSearchParams(search);
            next.set('parent', e.target.value);
            setSearch(next, { replace: true });
          }}
        >
          {chosen === '' && <option value="">choose a plant</option>}
          {parents.data.map((p) => (
            <option key={p.id} value={p.id}>
              {p.code}, {taxon(p.taxonId).name}
              {p.hanging > 0 && `: ${p.hanging} on it`}
            </option>
          ))}
          <optgroup label="any other plant">
            {rows
              .filter((r) => r.live > 0 && !known.has(r.id))
              .map((r) => (
                <option key={r.id} value={r.id}>
                  {r.code}
                </option>
              ))}
          </optgroup>
        </select>
      </Field>
      {chosen === '' ? (
        <p className="card-plain soft p-6">
          Choose the plant to layer; a parent plant may be entered as a cohort of one.
        </p>
      ) : data ? (
        <Parent key={chosen} data={data} goalId={search.get('goal')} today={today} />
      ) : (
        <Loading error={error} />
      )}
    </div>
  );
}

function Parent({ data, goalId, today }: { data: ParentLayers; goalId: string | null; today: string }) {
  const may = useMay('grower');
  const [planning, setPlanning] = useState(false);
  const [seen, setSeen] = useState<Layer | null>(null);
  const { parent, layers } = data;
  const fed = useFed(parent.id);
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <div className="max-lg:order-last">
          <ParentDrawing base={parent.base} layers={layers} />
          <p className="soft mt-2 text-sm">
            {parent.code}, base {length(parent.base)}.{' '}
            {data.crownTaken > 0 &&
              `What hangs on it takes ${percent(data.crownTaken)} of its crown, by cross-section.`}
          </p>
          {data.faults.map((f) => (
            <p key={f.layer + f.text} className="mt-1 text-sm font-semibold text-accent">
              {f.layer}: {f.text}
            </p>
          ))}
          <button
            type="button"
            className="btn btn-outline btn-tall mt-3 w-full"
            disabled={fed.isPending}
            onClick={() => fed.mutate(today)}
          >
            Fed today
          </button>
          {fed.error && <Trouble>{fed.error.message}</Trouble>}
          {may && (
            <button
              type="button"
              className="btn btn-primary btn-tall mt-3 w-full"
              onClick={() => setPlanning(true)}
            >
              Plan layers
            </button>
          )}
        </div>
        <ul className="grid content-start gap-3">
          {layers.length === 0 && <li className="card-plain soft p-6">No layer on it yet.</li>}
          {inOrder(layers).map((l) => (
            <LayerCard key={l.cohortId} layer={l} today={today} onSee={() => setSeen(l)} />
          ))}
        </ul>
      </div>
      <section>
        <h2 className="text-xl">Safe dates for opening a double layer here</h2>
        <p className="soft mb-2 max-w-prose">
          Days between the second filling, settled, and the first air at or below {temperature(0)}, nine years
          in ten.{' '}
          {data.cutOff ? (
            <>
              The last day with time to spare is{' '}
              <strong className="text-base-content">{shortDate(data.cutOff, today)}</strong>.
            </>
          ) : (
            'No day of this season leaves time.'
          )}
        </p>
        <SafeDates data={data} today={today} />
      </section>
      {planning && <PlanSheet data={data} goalId={goalId} today={today} onClose={() => setPlanning(false)} />}
      {seen && <EventSheet layer={seen} today={today} onClose={() => setSeen(null)} />}
    </>
  );
}
