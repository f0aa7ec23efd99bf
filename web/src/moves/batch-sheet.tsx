import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import { LANES } from '@gonimos/core/operations';
import { GROWTH_GROUPS, taxa as allTaxa } from '@gonimos/core/taxa';
import { useRegister } from '../cohorts/queries';
import { PlaceOptions } from '../nursery/place-options';
import { shortDate } from '../common/dates';
import { typed } from '../common/numbers';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useBatch, useTryBatch } from './queries';

const LANE_WORDS = {
  roots: 'root work',
  top: 'work on the top',
  container: 'moves between containers',
  care: 'care',
};

/** Puts a whole kind of work off: all root work on pines by two weeks. The steps are shown first. */
export function BatchSheet({ today, onClose }: { today: string; onClose: () => void }) {
  const rows = useRegister().data ?? [];
  const look = useTryBatch();
  const write = useBatch();
  const [v, set] = useState({ lane: 'roots', kind: '', placeId: '', days: '14', within: '60', reason: '' });
  const taxa = new Set(rows.filter((r) => r.growing).map((r) => r.taxonId));
  const kinds = allTaxa().filter((t) => taxa.has(t.id));
  const groups = [...new Set(kinds.map((t) => t.group))];
  const change = (name: keyof typeof v) => (e: { target: { value: string } }) => {
    set({ ...v, [name]: e.target.value });
    if (name !== 'reason') look.reset();
  };
  const payload = {
    kind: v.kind || null,
    placeId: v.placeId || null,
    reason: v.reason || 'put off for many',
    lane: v.lane as (typeof LANES)[number],
    days: typed(v.days) ?? Number.NaN,
    within: typed(v.within) ?? Number.NaN,
  };
  const lines = write.data ?? look.data;
  return (
    <Sheet title="Put off for many" sub="the same work over many cohorts" onClose={onClose}>
      <div className="grid gap-5">
        <div className="grid grid-cols-2 gap-4">
          <Field label="Work">
            <select className="select" value={v.lane} onChange={change('lane')}>
              {LANES.map((l) => (
                <option key={l} value={l}>
                  {LANE_WORDS[l]}
                </option>
              ))}
            </select>
          </Field>
          <Field label="On">
            <select className="select" value={v.kind} onChange={change('kind')}>
              <option value="">every kind</option>
              <optgroup label="groups">
                {groups.map((g) => (
                  <option key={g} value={g}>
                    {GROWTH_GROUPS[g].name}
                  </option>
                ))}
              </optgroup>
              <optgroup label="taxa">
                {kinds.map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name}
                  </option>
                ))}
              </optgroup>
            </select>
          </Field>
          <Field label="At">
            <select className="select" value={v.placeId} onChange={change('placeId')}>
              <option value="">every place</option>
              <PlaceOptions />
            </select>
          </Field>
          <Field label="By" hint="days">
            <input className="input" inputMode="numeric" value={v.days} onChange={change('days')} />
          </Field>
        </div>
        <Field label="Opening within" hint="days from today">
          <input className="input" inputMode="numeric" value={v.within} onChange={change('within')} />
        </Field>
        <Field label="Why" hint="kept with every step and shown">
          <input className="input" value={v.reason} onChange={change('reason')} />
        </Field>
        {(look.error ?? write.error) && <Trouble>{(write.error ?? look.error)!.message}</Trouble>}
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-outline btn-tall"
            disabled={look.isPending}
            onClick={() => look.mutate(payload)}
          >
            Show what it touches
          </button>
          {look.data && look.data.length > 0 && !write.data && (
            <button
              type="button"
              className="btn btn-primary btn-tall"
              disabled={write.isPending || v.reason.trim() === ''}
              onClick={() => write.mutate(payload)}
            >
              {write.isPending ? 'Planning again …' : `Put off ${plural(look.data.length, 'step')}`}
            </button>
          )}
        </div>
        {lines && (
          <section aria-live="polite">
            <p className="font-semibold">
              {write.data
                ? `${lines.length} put off.`
                : lines.length === 0
                  ? 'No open step fits.'
                  : `${lines.length} steps:`}
            </p>
            <ul className="divide-y divide-base-300">
              {lines.map((l) => (
                <li key={l.cohortId + l.stepKey} className="py-2">
                  <strong>{l.code}</strong> {l.title}
                  <span className="soft block text-sm">
                    opens {shortDate(l.opens, today)} → not before {shortDate(l.until, today)}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </Sheet>
  );
}
