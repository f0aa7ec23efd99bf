import { DayInput } from '../common/day-input';
import { typed } from '../common/numbers';
import { useState } from 'react';
import { cuttingCheck, type CheckOutcome } from '@gonimos/contract/cuttings';
import { CAUSES } from '@gonimos/contract/ledger';
import { checkFollows, totalsOf } from '@gonimos/core/cuttings';
import { operation } from '@gonimos/core/operations';
import { newId } from '../common/api';
import { faultsOf, withoutId } from '../common/check';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from '../records/outcome';
import type { Recordable } from '../records/asks';
import { useCheck } from './queries';

interface Row {
  id: string;
  name: string;
  rooted: string;
  callus: string;
  dead: string;
}
const STATES = ['rooted', 'callus', 'dead'] as const;
const blank = (n: number): Row => ({ id: newId(), name: `Tray ${n}`, rooted: '', callus: '', dead: '' });
const counted = (r: Row) => ({
  name: r.name,
  rooted: typed(r.rooted) ?? 0,
  callus: typed(r.callus) ?? 0,
  dead: typed(r.dead) ?? 0,
});

interface Props {
  step: Recordable & { stepKey: string };
  today: string;
  onClose: () => void;
}

const number = { className: 'input', inputMode: 'numeric' as const, autoComplete: 'off' };

/** A check of cuttings, tray by tray: what follows is said before it is recorded. */
export function CheckSheet({ step, today, onClose }: Props) {
  const check = useCheck();
  const [partId] = useState(newId);
  const [rows, setRows] = useState(() => [blank(1)]);
  const [v, set] = useState({
    on: today,
    cause: 'not rooted',
    potNow: true,
    part: true,
    note: '',
    minutes: '',
  });
  const [code, setCode] = useState(`${step.code}B`.slice(0, 16));
  const [tried, setTried] = useState(false);
  const t = totalsOf(rows.map(counted));
  const waiting = step.live - t.rooted - t.dead;
  const follows = checkFollows({ ...t, callus: Math.max(0, waiting) });
  const parts = follows.kind === 'both' && v.part;
  const over = follows.kind === 'over' || parts;
  const moves = operation(step.operation ?? '').asks.includes('container');
  const payload = {
    cohortId: step.cohortId,
    stepKey: step.stepKey,
    on: v.on,
    note: v.note,
    batches: rows.map(counted),
    cause: v.cause,
    potNow: over && t.rooted > 0 && !moves && v.potNow,
    part: parts ? { newId: partId, newCode: code } : null,
    minutes: typed(v.minutes) ?? null,
  };
  const wrong = faultsOf(cuttingCheck, payload);
  const faults: Record<string, string> = { ...(tried ? wrong : {}), ...check.faults };
  const send = () => {
    setTried(true);
    if (Object.keys(wrong).length === 0) check.mutate(withoutId(cuttingCheck, payload));
  };
  if (check.data)
    return (
      <Sheet title={step.title} sub={step.code} onClose={onClose}>
        <Followed r={check.data} today={today} />
        <Outcome result={check.data} today={today} onClose={onClose} />
      </Sheet>
    );
  return (
    <Sheet
      title={step.title}
      sub={`${step.code} · ${step.live} stuck`}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full text-lg"
          disabled={check.isPending}
          onClick={send}
        >
          {check.isPending ? 'Recording …' : 'Record the check'}
        </button>
      }
    >
      <div className="grid gap-5">
        {check.error && <Trouble>{check.error.message}</Trouble>}
        <Batches rows={rows} setRows={setRows} faults={faults} />
        {t.looked > step.live ? (
          <Trouble>
            {t.looked} counted, there are {step.live}
          </Trouble>
        ) : (
          t.looked > 0 && (
            <div className="rounded-box bg-[var(--celadon)] px-4 py-3" role="status">
              <Says
                rooted={t.rooted}
                waiting={waiting}
                callus={t.callus}
                dead={t.dead}
                parts={parts}
                over={over}
              />
            </div>
          )
        )}
        {follows.kind === 'both' && waiting > 0 && (
          <div className="grid gap-3">
            <Tick checked={v.part} onChange={(part) => set({ ...v, part })}>
              Part the callus off, so that the rooted go on
            </Tick>
            {v.part && (
              <Field label="Code for the callus" error={faults['part.newCode'] ?? faults.code}>
                <input className="input" value={code} onChange={(e) => setCode(e.target.value)} />
              </Field>
            )}
          </div>
        )}
        {over && t.rooted > 0 && !moves && (
          <Tick checked={v.potNow} onChange={(potNow) => set({ ...v, potNow })}>
            Potted singly today
          </Tick>
        )}
        <Rest
          v={v}
          change={(more) => set({ ...v, ...more })}
          died={t.dead > 0}
          today={today}
          faults={faults}
        />
      </div>
    </Sheet>
  );
}

interface TickProps {
  checked: boolean;
  onChange: (checked: boolean) => void;
  children: string;
}

function Tick({ checked, onChange, children }: TickProps) {
  return (
    <label className="flex min-h-12 items-center gap-3">
      <input
        type="checkbox"
        className="checkbox checkbox-primary"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      {children}
    </label>
  );
}

interface RestInputs {
  on: string;
  cause: string;
  minutes: string;
  note: string;
}

interface RestProps {
  v: RestInputs;
  change: (more: Partial<RestInputs>) => void;
  died: boolean;
  today: string;
  faults: Record<string, string>;
}

/** The day, what the dead died of, how long it took, and words. */
function Rest({ v, change, died, today, faults }: RestProps) {
  return (
    <>
      <div className="grid gap-5 xs:grid-cols-2">
        <Field label="Day" error={faults.on}>
          <DayInput max={today} value={v.on} onChange={(day) => change({ on: day })} />
        </Field>
        {died && (
          <Field label="Died of">
            <select className="select" value={v.cause} onChange={(e) => change({ cause: e.target.value })}>
              {CAUSES.map((c) => (
                <option key={c}>{c}</option>
              ))}
            </select>
          </Field>
        )}
        <Field label="Minutes" error={faults.minutes}>
          <input {...number} value={v.minutes} onChange={(e) => change({ minutes: e.target.value })} />
        </Field>
      </div>
      <Field label="Note" error={faults.note}>
        <textarea
          className="textarea"
          rows={2}
          value={v.note}
          onChange={(e) => change({ note: e.target.value })}
        />
      </Field>
    </>
  );
}

interface BatchesProps {
  rows: Row[];
  setRows: (rows: Row[]) => void;
  faults: Record<string, string>;
}

/** A line for each tray: how many have rooted, have callus, are dead. */
function Batches({ rows, setRows, faults }: BatchesProps) {
  const change = (i: number, name: keyof Row) => (e: { target: { value: string } }) =>
    setRows(rows.map((r, k) => (k === i ? { ...r, [name]: e.target.value } : r)));
  return (
    <fieldset>
      <legend className="mb-2 font-semibold">
        What each tray shows
        <span className="soft block text-sm font-normal">only roots count: opening buds do not</span>
      </legend>
      <div className="grid grid-cols-[minmax(0,1.3fr)_repeat(3,minmax(0,1fr))] gap-2">
        <span className="soft text-sm">Tray</span>
        {STATES.map((s) => (
          <span key={s} className="soft text-sm">
            {s}
          </span>
        ))}
        {rows.map((r, i) => (
          <div key={r.id} className="contents">
            <input
              className="input w-full"
              aria-label={`Name of tray ${i + 1}`}
              value={r.name}
              onChange={change(i, 'name')}
            />
            {STATES.map((s) => (
              <input
                key={s}
                {...number}
                className="input w-full"
                aria-label={`${r.name || `tray ${i + 1}`}: ${s}`}
                aria-invalid={faults[`batches[${i}].${s}`] ? true : undefined}
                value={r[s]}
                onChange={change(i, s)}
              />
            ))}
          </div>
        ))}
      </div>
      <button
        type="button"
        className="btn btn-ghost mt-2 border border-base-300"
        onClick={() => setRows([...rows, blank(rows.length + 1)])}
      >
        Another tray
      </button>
      {Object.entries(faults)
        .filter(([k]) => k.startsWith('batches'))
        .slice(0, 2)
        .map(([k, why]) => (
          <p key={k} className="mt-1 text-sm font-semibold text-error">
            {k.replace(/^batches\[(\d+)\]\.?/, (_, n: string) => `tray ${Number(n) + 1} `)} {why}
          </p>
        ))}
    </fieldset>
  );
}

/** What will follow, in words, while the counts are typed. */
function Says(p: {
  rooted: number;
  waiting: number;
  callus: number;
  dead: number;
  parts: boolean;
  over: boolean;
}) {
  const words = [
    p.rooted > 0 && `${p.rooted} rooted ${p.over ? 'go on' : 'wait with the others'}`,
    p.callus > 0 && `${p.callus} with callus ${p.parts ? 'are stuck again on their own' : 'go back'}`,
    p.waiting > p.callus && `${p.waiting - p.callus} not looked at wait`,
    p.dead > 0 && `${p.dead} leave the ledger`,
  ].filter(Boolean);
  return (
    <>
      <p>
        <strong>{words.join(', ')}.</strong>
      </p>
      {!p.over && p.rooted + p.waiting > 0 && (
        <p>They are looked at again once half the first warmth has passed.</p>
      )}
    </>
  );
}

function Followed({ r, today }: { r: CheckOutcome; today: string }) {
  return (
    <p className="mb-4 text-lg">
      {r.rooted} rooted{r.potted > 0 && ', potted today'}; {r.dead} gone.
      {r.callus > 0 && (
        <>
          {' '}
          {r.callus} {r.partedTo ? `went into ${r.partedTo}` : 'went back'}
          {r.againOn && (
            <>
              , look again from <strong>{shortDate(r.againOn, today)}</strong>
            </>
          )}
          .
        </>
      )}
    </p>
  );
}
