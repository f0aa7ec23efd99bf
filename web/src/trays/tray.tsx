import { DayInput } from '../common/day-input';
import { useState } from 'react';
import type { MarkOutcome, Tray as Data } from '@gonimos/contract/trays';
import { CAUSES } from '@gonimos/contract/ledger';
import { cellCounts, cellName, type CellState } from '@gonimos/core/trays';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { CellMap } from './cell-map';
import { Brushes, STATE_WORDS } from './states';
import { useMarks } from './use-marks';

/** Marks of others that were met on the way. */
function Met({ met, columns }: { met: MarkOutcome['conflicts']; columns: number }) {
  if (met.length === 0) return null;
  return (
    <div role="status" className="rounded-box bg-[var(--slip)] px-4 py-3">
      <strong>
        {met.length === 1 ? 'One cell was' : `${met.length} cells were`} marked meanwhile and left as found:
      </strong>{' '}
      {met
        .slice(0, 12)
        .map((x) => `${cellName(x.cell, columns)} ${STATE_WORDS[x.is]}${x.by ? ` by ${x.by}` : ''}`)
        .join(', ')}
      {met.length > 12 && ` and ${met.length - 12} more`}. Mark them again if they are wrong.
    </div>
  );
}

/** The last marks, those taken back struck out. */
function LastMarks({ marks, today }: { marks: Data['marks']; today: string }) {
  if (marks.length === 0) return null;
  const [last] = marks;
  return (
    <details className="no-print">
      <summary className="soft cursor-pointer py-1">
        Last: {last.count} {STATE_WORDS[last.now]}, {shortDate(last.on, today)}, {last.by}
      </summary>
      <ul className="mt-1 text-sm">
        {marks.slice(0, 10).map((m) => (
          <li key={m.id} className={m.undone ? 'soft line-through' : ''}>
            {shortDate(m.on, today)}: {m.count} {STATE_WORDS[m.now]}, {m.by}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** One tray: choose a state, draw it over the cells; the ledger follows, and any mark can be taken back. */
export function Tray({ tray, cohortId, today }: { tray: Data; cohortId: string; today: string }) {
  const [brush, setBrush] = useState<CellState>('up');
  const [on, setOn] = useState(today);
  const [cause, setCause] = useState('damping off');
  const { cells, busy, met, counted, trouble, mark, undo, mayUndo, fly } = useMarks(tray, cohortId);
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
            <DayInput max={today} className="w-52" value={on} onChange={(day) => setOn(day || today)} />
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
          <button type="button" className="btn btn-outline" disabled={!mayUndo} onClick={undo}>
            Take back
          </button>
        </span>
      </header>
      {/* in one hand the brushes lie at the thumb, under the cells */}
      <div className="no-print max-sm:sticky max-sm:bottom-14 max-sm:z-10 max-sm:order-last max-sm:-mx-4 max-sm:border-t max-sm:border-base-300 max-sm:bg-base-100 max-sm:px-4 max-sm:py-2">
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
      <Met met={met} columns={tray.columns} />
      <CellMap
        name={tray.name}
        rows={tray.rows}
        columns={tray.columns}
        cells={cells}
        busy={busy}
        mark={(chosen, now = brush) => mark(chosen, now, on, cause)}
        undo={undo}
      />
      <LastMarks marks={tray.marks} today={today} />
    </section>
  );
}
