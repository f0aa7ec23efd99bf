import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { useDrawingWrites } from './queries';
import type { Row, Sheet } from './use-drawn';

interface Drawn<R, D> {
  row: Row<R, D> | null;
  label: string;
  setLabel: (label: string) => void;
  unkept: boolean;
  kept: (id: string) => void;
}

interface DatesProps<R, D> {
  rows: readonly Row<R, D>[];
  row: Row<R, D> | null;
  unkept: boolean;
  today: string;
  onOpen: (row: Row<R, D>) => void;
  onBegin: () => void;
  children?: ReactNode;
}

/** Dates that are kept, and a new one. */
export function Dates<R, D>({ rows, row, unkept, today, onOpen, onBegin, children }: DatesProps<R, D>) {
  return (
    <div className="no-print flex flex-wrap items-center gap-2" role="group" aria-label="Drawings">
      {rows.map((r) => (
        <button
          key={r.id}
          type="button"
          aria-pressed={row?.id === r.id}
          className={`btn btn-sm ${row?.id === r.id ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
          onClick={() => onOpen(r)}
        >
          {shortDate(r.on, today)}
          {r.label && `, ${r.label}`}
        </button>
      ))}
      {row ? (
        <button type="button" className="btn btn-sm btn-ghost" onClick={onBegin}>
          <Plus size={16} /> New drawing
        </button>
      ) : (
        <span className="px-2 font-semibold">New drawing, today</span>
      )}
      {children}
      {unkept && <span className="soft text-sm">not kept yet</span>}
    </div>
  );
}

interface KeepProps<R, D> {
  /** where drawings of this kind are kept: '/root-records' */
  path: string;
  cohort: Cohort;
  at: Drawn<R, D>;
  sheet: Sheet<R, D>;
  today: string;
  /** what else can be done with a kept drawing */
  children?: ReactNode;
}

/** Keeping the drawing, or taking it back. */
export function Keep<R, D>({ path, cohort, at, sheet, today, children }: KeepProps<R, D>) {
  const { row } = at;
  const { keep, change, back } = useDrawingWrites<R, D>(path, row?.id ?? '');
  const send = () => {
    const { record, decided } = sheet;
    const sent = { label: at.label, on: row?.on ?? today, record, decided, note: row?.note ?? '' };
    if (row) change.mutate({ ...sent, version: row.version });
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
        {children}
        {row && !at.unkept && (
          <button
            type="button"
            className="btn btn-ghost"
            disabled={back.isPending}
            onClick={() => back.mutate({ recordId: row.id, version: row.version })}
          >
            Take it back
          </button>
        )}
      </div>
      {fault && <Trouble>{fault.message}</Trouble>}
    </div>
  );
}
