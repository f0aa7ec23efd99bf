import { DayInput } from '../common/day-input';
import { useRef, useState } from 'react';
import type { MarkCells, MarkOutcome, Tray as Data } from '@gonimos/contract/trays';
import { CAUSES } from '@gonimos/contract/ledger';
import { cellCounts, cellName, markFault, type CellState } from '@gonimos/core/trays';
import { Failure, newId } from '../common/api';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { CellMap } from './cell-map';
import { useMark, type Send } from './queries';
import { Brushes, STATE_WORDS } from './states';

/** Marks made here that the server has not answered yet lie over what it last told. */
type Over = ReadonlyMap<number, CellState>;

/** One tray: choose a state, draw it over the cells; the ledger follows, and any mark can be taken back. */
export function Tray({ tray, cohortId, today }: { tray: Data; cohortId: string; today: string }) {
  const send = useMark(cohortId);
  const [brush, setBrush] = useState<CellState>('up');
  const [on, setOn] = useState(today);
  const [cause, setCause] = useState('damping off');
  const [over, setOver] = useState<Over>(new Map());
  const [met, setMet] = useState<MarkOutcome['conflicts']>([]);
  const [counted, setCounted] = useState(false);
  const [trouble, setTrouble] = useState<{ text: string; again: Send | null } | null>(null);
  const flying = useRef(0);
  const [busy, setBusy] = useState(false);
  const cells = tray.cells.map((s, i) => over.get(i) ?? s);

  const fly = (s: Send) => {
    setBusy(++flying.current > 0);
    setTrouble(null);
    setCounted(false);
    if (flying.current === 1) setMet([]);
    // each mark has an answer of its own, however quickly they follow each other
    send
      .mutateAsync(s)
      .then((r) => {
        if (r.conflicts.length > 0) setMet(r.conflicts);
        if (r.counted) setCounted(true);
      })
      .catch((e: Error) => {
        // silence: the same request may be sent again; a refusal: the marks were not made
        const silent = !(e instanceof Failure && e.problem);
        setTrouble({ text: e.message, again: silent ? s : null });
      })
      .finally(() => {
        setBusy(--flying.current > 0);
        if (flying.current === 0) setOver(new Map());
      });
  };
  const mark = (chosen: number[], now: CellState = brush) => {
    const marks = chosen
      .filter((c) => cells[c] !== now && markFault(cells[c], now) === null)
      .map((cell) => ({ cell, was: cells[cell], now }));
    if (marks.length === 0) return;
    setOver((o) => new Map([...o, ...marks.map((m) => [m.cell, now] as const)]));
    const said: MarkCells = { id: newId(), on, marks, cause: now === 'lost' ? cause : null };
    fly({ trayId: tray.id, mark: said });
  };
  const last = tray.marks.find((m) => !m.undone);
  const undo = () => last && !busy && fly({ trayId: tray.id, undo: last.id, id: newId() });

  return (
    <section aria-label={`Tray ${tray.name}`} className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <header className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h2 className="text-xl">
          Tray {tray.name}
          <span className="soft ml-3 font-sans text-base font-normal">
            {tray.rows} × {tray.columns} = {tray.cells.length} cells
          </span>
        </h2>
        <span className="no-print flex flex-wrap items-end gap-3">
          <label className="text-sm">
            <span className="soft block">Found on</span>
            <DayInput max={today} className="w-40" value={on} onChange={(day) => setOn(day || today)} />
          </label>
          {brush === 'lost' && (
            <label className="text-sm">
              <span className="soft block">Lost to</span>
              <select className="select w-40" value={cause} onChange={(e) => setCause(e.target.value)}>
                {CAUSES.map((c) => (
                  <option key={c}>{c}</option>
                ))}
              </select>
            </label>
          )}
          <button type="button" className="btn btn-outline" disabled={!last || busy} onClick={undo}>
            Take back
          </button>
        </span>
      </header>
      <div className="no-print">
        <Brushes brush={brush} counts={cellCounts(cells)} choose={setBrush} />
      </div>
      {trouble && (
        <Trouble>
          {trouble.text}{' '}
          {trouble.again && (
            <button type="button" className="btn btn-sm btn-outline" onClick={() => fly(trouble.again!)}>
              Send again
            </button>
          )}
        </Trouble>
      )}
      {counted && (
        <p role="status" className="rounded-box bg-[var(--slip)] px-4 py-3">
          Every seed is accounted for. Emergence is counted, and the course goes on from there.
        </p>
      )}
      {met.length > 0 && (
        <div role="status" className="rounded-box bg-[var(--slip)] px-4 py-3">
          <strong>
            {met.length === 1 ? 'One cell was' : `${met.length} cells were`} marked meanwhile and left as
            found:
          </strong>{' '}
          {met
            .slice(0, 12)
            .map((x) => `${cellName(x.cell, tray.columns)} ${STATE_WORDS[x.is]}${x.by ? ` by ${x.by}` : ''}`)
            .join(', ')}
          {met.length > 12 && ` and ${met.length - 12} more`}. Mark them again if they are wrong.
        </div>
      )}
      <CellMap
        name={tray.name}
        rows={tray.rows}
        columns={tray.columns}
        cells={cells}
        busy={busy}
        mark={mark}
        undo={undo}
      />
      {tray.marks.length > 0 && (
        <details className="no-print">
          <summary className="soft cursor-pointer py-1">
            Last: {tray.marks[0].count} {STATE_WORDS[tray.marks[0].now]}, {shortDate(tray.marks[0].on, today)}
            , {tray.marks[0].by}
          </summary>
          <ul className="mt-1 text-sm">
            {tray.marks.slice(0, 10).map((m) => (
              <li key={m.id} className={m.undone ? 'soft line-through' : ''}>
                {shortDate(m.on, today)}: {m.count} {STATE_WORDS[m.now]}, {m.by}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
