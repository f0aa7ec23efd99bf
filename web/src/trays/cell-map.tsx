import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { CELL_KEYS, cellName, cellsBetween, type CellState } from '@gonimos/core/trays';
import { useWidth } from '../common/use-width';
import { CellPicture, STATE_WORDS } from './states';

/** Least width of a cell for a thumb, px. */
const NARROW = 34;

interface Props {
  name: string;
  rows: number;
  columns: number;
  cells: readonly CellState[];
  /** marks are on their way to the server */
  busy: boolean;
  mark: (cells: number[], now?: CellState) => void;
  undo: () => void;
}

/**
 * The tray from above. Dragging marks a rectangle with the state chosen; with the keyboard the arrows go from
 * cell to cell, Shift with them spans a rectangle, a letter marks it, Enter marks with the state chosen.
 */
export function CellMap({ name, rows, columns, cells, busy, mark, undo }: Props) {
  const [from, setFrom] = useState(0);
  const [to, setTo] = useState(0);
  const drag = useRef(false);
  const placing = useRef(false);
  const [shown, setShown] = useState(false);
  const grid = useRef<HTMLDivElement>(null);
  // of the room, not of the grid: that is narrower once it is turned
  const [room, width] = useWidth<HTMLDivElement>(700);
  // on a narrow screen the tray is turned, so that a thumb meets one cell
  const turned = columns > rows && width < columns * NARROW;
  const chosen = new Set(cellsBetween(from, to, columns));
  const span = () => [...chosen];

  /** Moves the focus without taking it for the reader's own. */
  const focus = (cell: number) => {
    placing.current = true;
    grid.current?.querySelector<HTMLElement>(`[data-cell="${cell}"]`)?.focus();
    placing.current = false;
  };
  const cellAt = (e: PointerEvent): number | null => {
    const hit = document.elementFromPoint(e.clientX, e.clientY)?.closest<HTMLElement>('[data-cell]');
    return hit && grid.current?.contains(hit) ? Number(hit.dataset.cell) : null;
  };
  const begin = (e: PointerEvent) => {
    const cell = cellAt(e);
    if (cell === null || e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    drag.current = true;
    setShown(true);
    setFrom(cell);
    setTo(cell);
  };
  const move = (e: PointerEvent) => {
    const cell = drag.current ? cellAt(e) : null;
    if (cell !== null) setTo(cell);
  };
  const end = (e: PointerEvent) => {
    if (!drag.current) return;
    drag.current = false;
    setShown(false);
    const cell = cellAt(e) ?? to;
    setTo(cell);
    mark(cellsBetween(from, cell, columns));
    focus(cell);
  };

  const [across, down] = turned ? [columns, 1] : [1, columns];
  const STEP: Record<string, number> = {
    ArrowUp: -down,
    ArrowDown: down,
    ArrowLeft: -across,
    ArrowRight: across,
  };
  const press = (e: KeyboardEvent) => {
    const by = STEP[e.key];
    const state = CELL_KEYS[e.key.toLowerCase()];
    if ((e.ctrlKey || e.metaKey) && e.key === 'z') undo();
    else if (by !== undefined) {
      const next = to + by;
      const sameRow = Math.floor(next / columns) === Math.floor(to / columns);
      if (next < 0 || next >= rows * columns || (Math.abs(by) === 1 && !sameRow)) return;
      setTo(next);
      if (!e.shiftKey) setFrom(next);
      setShown(true);
      focus(next);
    } else if (e.key === 'a' && (e.ctrlKey || e.metaKey)) {
      setFrom(0);
      setTo(rows * columns - 1);
      setShown(true);
    } else if (e.key === 'Enter' || e.key === ' ') mark(span());
    else if (state && !e.ctrlKey && !e.metaKey) mark(span(), state);
    else return;
    e.preventDefault();
  };

  return (
    <div ref={room}>
      <div
        ref={grid}
        role="grid"
        aria-label={`Cells of tray ${name}`}
        aria-multiselectable="true"
        aria-busy={busy}
        className="grid touch-none gap-[3px] rounded-box border-2 border-base-content/70 bg-base-content/20 p-1.5 select-none"
        style={{
          gridTemplateColumns: `repeat(${turned ? rows : columns}, minmax(0, 1fr))`,
          maxWidth: `${(turned ? rows : columns) * 3.4}rem`,
        }}
        onPointerDown={begin}
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={() => (drag.current = false)}
        onKeyDown={press}
      >
        {Array.from({ length: turned ? columns : rows }, (_, r) => (
          <div key={r} role="row" className="contents">
            {Array.from({ length: turned ? rows : columns }, (__, c) => {
              const cell = turned ? c * columns + r : r * columns + c;
              const state = cells[cell];
              const on = shown && chosen.has(cell);
              return (
                <div
                  key={cell}
                  role="gridcell"
                  data-cell={cell}
                  data-state={state}
                  tabIndex={cell === to ? 0 : -1}
                  aria-label={`${cellName(cell, columns)} ${STATE_WORDS[state]}`}
                  aria-selected={on}
                  className={`aspect-square cursor-pointer overflow-hidden rounded-[3px] ${on ? 'outline-3 outline-info' : ''}`}
                  onFocus={() => {
                    if (!placing.current && !drag.current) {
                      setFrom(cell);
                      setTo(cell);
                    }
                  }}
                >
                  <CellPicture state={state} />
                </div>
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}
