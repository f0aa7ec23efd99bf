import { Plus, Printer } from 'lucide-react';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { RootBench } from '@gonimos/contract/root-records';
import { CONTAINERS } from '@gonimos/core/containers';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { NumberInput } from '../common/number-input';
import { useChangeRoots, useKeepRoots, useWithdrawRoots } from './queries';
import type { useDrawing } from './use-drawing';

type At = ReturnType<typeof useDrawing>;

/** Dates that are kept, and a new one. */
export function Dates({
  bench,
  at,
  today,
  onPaste,
}: {
  bench: RootBench;
  at: At;
  today: string;
  onPaste: () => void;
}) {
  return (
    <div className="no-print flex flex-wrap items-center gap-2" role="group" aria-label="Drawings">
      {bench.records.map((r) => (
        <button
          key={r.id}
          type="button"
          aria-pressed={at.row?.id === r.id}
          className={`btn btn-sm ${at.row?.id === r.id ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
          onClick={() => at.open(r)}
        >
          {shortDate(r.on, today)}
          {r.label && `, ${r.label}`}
        </button>
      ))}
      {at.row ? (
        <button type="button" className="btn btn-sm btn-ghost" onClick={at.begin}>
          <Plus size={16} /> New drawing
        </button>
      ) : (
        <span className="px-2 font-semibold">New drawing, today</span>
      )}
      <button type="button" className="btn btn-sm btn-ghost" onClick={onPaste}>
        From a list
      </button>
      {at.unkept && <span className="soft text-sm">not kept yet</span>}
    </div>
  );
}

/** Keeping the drawing, its card on paper, recording the work. */
export function Keep({
  cohort,
  at,
  today,
  onRecord,
}: {
  cohort: Cohort;
  at: At;
  today: string;
  onRecord: (() => void) | null;
}) {
  const keep = useKeepRoots();
  const change = useChangeRoots(at.row?.id ?? '');
  const back = useWithdrawRoots();
  const { record, decided } = at.drawing;
  const on = at.row?.on ?? today;
  const send = () => {
    const sent = { label: at.label, on, record, decided, note: at.row?.note ?? '' };
    if (at.row) change.mutate({ ...sent, version: at.row.version });
    else keep.mutate({ ...sent, cohortId: cohort.id }, { onSuccess: (r) => at.kept(r.id) });
  };
  const fault = keep.error ?? change.error ?? back.error;
  return (
    <div className="grid gap-3">
      {cohort.live > 1 && (
        <Field label="Which plant" hint="a name for the sample, as you say it">
          <input
            className="input"
            maxLength={30}
            value={at.label}
            onChange={(e) => at.setLabel(e.target.value)}
          />
        </Field>
      )}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-primary grow"
          disabled={!at.unkept || keep.isPending || change.isPending}
          onClick={send}
        >
          {at.unkept ? 'Keep the drawing' : 'Kept'}
        </button>
        {onRecord && (
          <button type="button" className="btn btn-outline" onClick={onRecord}>
            Record the work
          </button>
        )}
        {at.row && !at.unkept && record.roots.length > 0 && (
          <a
            className="btn border border-base-300 bg-base-100"
            href={`/api/cohorts/${cohort.id}/roots/${at.row.id}/card`}
            target="_blank"
            rel="noreferrer"
          >
            <Printer size={18} aria-hidden /> Root card
          </a>
        )}
        {at.row && !at.unkept && (
          <button
            type="button"
            className="btn btn-ghost"
            disabled={back.isPending}
            onClick={() => back.mutate({ recordId: at.row!.id, version: at.row!.version })}
          >
            Take it back
          </button>
        )}
      </div>
      {fault && <Trouble>{fault.message}</Trouble>}
    </div>
  );
}

/** The pot it goes into, and where in it the trunk is to stand. */
export function PotFields({ at, bench }: { at: At; bench: RootBench }) {
  const { decided } = at.drawing;
  const shown = decided.container ?? bench.container ?? '';
  const set = (more: Partial<typeof decided>) => at.act({ do: 'decide', decided: more });
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        The pot, and where the trunk stands in it
      </summary>
      <div className="grid grid-cols-2 gap-3 pb-3">
        <Field label="Goes into" className="col-span-2">
          <select className="select" value={shown} onChange={(e) => set({ container: e.target.value })}>
            {CONTAINERS.filter((c) => !c.shared).map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="To the right" hint="mm from the middle">
          <NumberInput
            value={decided.aside ?? 0}
            onChange={(n) => Math.abs(n) <= 1000 && set({ aside: n })}
          />
        </Field>
        <Field label="To the back" hint="mm from the middle">
          <NumberInput
            value={decided.behind ?? 0}
            onChange={(n) => Math.abs(n) <= 1000 && set({ behind: n })}
          />
        </Field>
      </div>
    </details>
  );
}
