import { useRef, useState } from 'react';
import { CAUSES } from '@gonimos/contract/ledger';
import { leftOf, type NewRecord } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { newId } from '../common/api';
import { DayInput } from '../common/day-input';
import { Field, Trouble } from '../common/field';
import { typedOrNull } from '../common/numbers';
import { Sheet } from '../common/sheet';
import { useRecordWork } from '../records/queries';
import { usualResult } from './quick';

/** What is typed for one cohort; empty: all done, nothing lost. */
interface Typed {
  done: string;
  lost: string;
  minutes: string;
}
const NOTHING: Typed = { done: '', lost: '', minutes: '' };
const idOf = (s: RoundStep) => s.cohortId + s.key;

interface Common {
  on: string;
  minutes: string;
  cause: string;
  note: string;
}

/** The record of one of them: its own numbers, and its share by plants of what was told for all. */
function recordOf(s: RoundStep, t: Typed, c: Common, plants: number, lossId: string): Omit<NewRecord, 'id'> {
  const { id: _, ...usual } = usualResult(s, c.on);
  const total = typedOrNull(c.minutes);
  const share = total === null || plants === 0 ? null : Math.round((total * s.live) / plants);
  const lost = typedOrNull(t.lost) ?? 0;
  const done = typedOrNull(t.done);
  const left = leftOf(s) - lost;
  return {
    ...usual,
    done,
    // a part of them leaves the step open for the rest
    finished: done === null || done >= left,
    losses: lost > 0 ? [{ id: lossId, kind: 'lost', count: lost, cause: c.cause }] : [],
    minutes: typedOrNull(t.minutes) ?? share,
    note: c.note,
  };
}

const CELL = 'input w-full min-w-14';

interface RowProps {
  step: RoundStep;
  typed: Typed;
  recorded: boolean;
  change: (t: Typed) => void;
}

function Row({ step: s, typed: t, recorded, change }: RowProps) {
  const cell = (name: keyof Typed, label: string, placeholder: string) => (
    <td className="py-1 pr-2">
      <input
        className={CELL}
        inputMode="numeric"
        autoComplete="off"
        aria-label={`${s.code}: ${label}`}
        placeholder={placeholder}
        disabled={recorded}
        value={t[name]}
        onChange={(e) => change({ ...t, [name]: e.target.value })}
      />
    </td>
  );
  return (
    <tr>
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        <strong>{s.code}</strong>{' '}
        <span className="soft block text-sm">{recorded ? 'recorded' : s.title}</span>
      </th>
      {cell('done', 'done', String(leftOf(s)))}
      {cell('lost', 'lost', '0')}
      {cell('minutes', 'minutes', '')}
    </tr>
  );
}

/** Several cohorts at once, a line for each with numbers of its own: what is left empty was all done, nothing lost. */
export function ManySheet({
  steps,
  today,
  onClose,
}: {
  steps: RoundStep[];
  today: string;
  onClose: () => void;
}) {
  const losses = useRef(new Map(steps.map((s) => [idOf(s), newId()])));
  const work = useRecordWork();
  const [common, setCommon] = useState<Common>({ on: today, minutes: '', cause: 'unknown', note: '' });
  const [typed, setTyped] = useState<ReadonlyMap<string, Typed>>(new Map());
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const plants = steps.reduce((n, s) => n + s.live, 0);
  const typedOf = (s: RoundStep) => typed.get(idOf(s)) ?? NOTHING;
  const send = async () => {
    setBusy(true);
    setFault(null);
    for (const s of steps.filter((x) => !done.has(idOf(x)))) {
      try {
        await work.mutateAsync(recordOf(s, typedOf(s), common, plants, losses.current.get(idOf(s))!));
        setDone((d) => new Set(d).add(idOf(s)));
      } catch (e) {
        setFault(`${s.code}: ${(e as Error).message} The others stay recorded; put it right and go on.`);
        setBusy(false);
        return;
      }
    }
    onClose();
  };
  return (
    <Sheet title={`${steps.length} at once`} sub="left empty: all done, nothing lost" onClose={onClose}>
      <form
        className="grid gap-5"
        onSubmit={(e) => {
          e.preventDefault();
          void send();
        }}
      >
        {fault && <Trouble>{fault}</Trouble>}
        <table>
          <thead>
            <tr className="soft text-left text-sm">
              <th scope="col">cohort</th>
              <th scope="col">done</th>
              <th scope="col">lost</th>
              <th scope="col">minutes</th>
            </tr>
          </thead>
          <tbody>
            {steps.map((s) => (
              <Row
                key={idOf(s)}
                step={s}
                typed={typedOf(s)}
                recorded={done.has(idOf(s))}
                change={(t) => setTyped(new Map(typed).set(idOf(s), t))}
              />
            ))}
          </tbody>
        </table>
        <Field label="Lost to" hint="the cause of what is lost above">
          <select
            className="select"
            value={common.cause}
            onChange={(e) => setCommon({ ...common, cause: e.target.value })}
          >
            {CAUSES.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </select>
        </Field>
        <Field label="Day">
          <DayInput max={today} value={common.on} onChange={(on) => setCommon({ ...common, on })} />
        </Field>
        <Field label="Minutes in all" hint="shared out by plants where a line has none of its own">
          <input
            className="input"
            inputMode="numeric"
            autoComplete="off"
            value={common.minutes}
            onChange={(e) => setCommon({ ...common, minutes: e.target.value })}
          />
        </Field>
        <Field label="Note">
          <input
            className="input"
            autoComplete="off"
            value={common.note}
            onChange={(e) => setCommon({ ...common, note: e.target.value })}
          />
        </Field>
        <button className="btn btn-primary btn-tall text-lg" disabled={busy}>
          {busy ? `Recording ${done.size + 1} of ${steps.length} …` : 'Record them all'}
        </button>
      </form>
    </Sheet>
  );
}
