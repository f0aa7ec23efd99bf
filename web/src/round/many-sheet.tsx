import { typedOrNull } from '../common/numbers';
import { useRef, useState } from 'react';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { operation } from '@gonimos/core/operations';
import { useRecordWork } from '../records/queries';
import { newId } from '../common/api';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';

function recordOf(
  id: string,
  s: RoundStep,
  v: { on: string; note: string },
  minutes: number | null,
): NewRecord {
  const pots = operation(s.operation).asks.includes('container') && s.container !== null;
  const details = pots ? { potting: { container: s.container! } } : {};
  return workOn({ id, cohortId: s.cohortId, stepKey: s.key, on: v.on, minutes, note: v.note, details });
}

/** The same day and note for several cohorts, all plants, no losses; minutes are shared out by plants. */
export function ManySheet({
  steps,
  today,
  onClose,
}: {
  steps: RoundStep[];
  today: string;
  onClose: () => void;
}) {
  const ids = useRef(new Map(steps.map((s) => [s.cohortId + s.key, newId()])));
  const work = useRecordWork();
  const [v, set] = useState({ on: today, minutes: '', note: '' });
  const [done, setDone] = useState<Set<string>>(new Set());
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const plants = steps.reduce((n, s) => n + s.live, 0);
  const total = typedOrNull(v.minutes);
  const send = async () => {
    setBusy(true);
    setFault(null);
    for (const s of steps) {
      const key = s.cohortId + s.key;
      if (done.has(key)) continue;
      try {
        const share = total === null || plants === 0 ? null : Math.round((total * s.live) / plants);
        await work.mutateAsync(recordOf(ids.current.get(key)!, s, v, share));
        setDone((d) => new Set(d).add(key));
      } catch (e) {
        setFault(`${s.code}: ${(e as Error).message} The others stay recorded; put it right and go on.`);
        setBusy(false);
        return;
      }
    }
    onClose();
  };
  return (
    <Sheet title={`${steps.length} at once`} sub="all plants done, nothing lost" onClose={onClose}>
      <div className="grid gap-5">
        {fault && <Trouble>{fault}</Trouble>}
        <ul className="divide-y divide-base-300">
          {steps.map((s) => (
            <li key={s.cohortId + s.key} className="flex justify-between gap-3 py-2">
              <span>
                <strong>{s.code}</strong> {s.title}, {s.live}
              </span>
              <span className="soft">{done.has(s.cohortId + s.key) ? 'recorded' : ''}</span>
            </li>
          ))}
        </ul>
        <Field label="Day">
          <input
            type="date"
            className="input"
            max={today}
            value={v.on}
            onChange={(e) => set({ ...v, on: e.target.value })}
          />
        </Field>
        <Field label="Minutes in all" hint="shared out by plants">
          <input
            className="input"
            inputMode="numeric"
            value={v.minutes}
            onChange={(e) => set({ ...v, minutes: e.target.value })}
          />
        </Field>
        <Field label="Note">
          <input className="input" value={v.note} onChange={(e) => set({ ...v, note: e.target.value })} />
        </Field>
        <button
          type="button"
          className="btn btn-primary btn-tall text-lg"
          disabled={busy}
          onClick={() => void send()}
        >
          {busy ? `Recording ${done.size + 1} of ${steps.length} …` : 'Record them all'}
        </button>
      </div>
    </Sheet>
  );
}
