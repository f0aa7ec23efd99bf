import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { CELL_KEYS, cellName, cellsBetween, type CellState } from '@gonimos/core/trays';
import { useWidth } from '../common/use-width';
import { CellPicture, STATE_WORDS } from './states';

/** Least width of a cell for a thumb, with the gap beside it, and for a mouse, px. */
const THUMB = 47;
const NARROW = 34;
/** A room narrower than this is that of a phone, px. */
const ONE_HAND = 480;

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

/** Dragging over the cells: from where, to where, and whether it shows. */
function useDrag(columns: number, mark: Props['mark']) {
  const [from, setFrom] = useState(0);
  const [to, setTo] = useState(0);
  const [shown, setShown] = useState(false);
  const drag = useRef(false);
  const placing = useRef(false);
  const grid = useRef<HTMLDivElement>(null);
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
  const hands = {
    onPointerDown: (e: PointerEvent) => {
      const cell = cellAt(e);
      if (cell === null || e.button !== 0) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      drag.current = true;
      setShown(true);
      setFrom(cell);
      setTo(cell);
    },
    onPointerMove: (e: PointerEvent) => {
      const cell = drag.current ? cellAt(e) : null;
      if (cell !== null) setTo(cell);
    },
    onPointerUp: (e: PointerEvent) => {
      if (!drag.current) return;
      drag.current = false;
      setShown(false);
      const cell = cellAt(e) ?? to;
      setTo(cell);
      mark(cellsBetween(from, cell, columns));
      focus(cell);
    },
    onPointerCancel: () => (drag.current = false),
  };
  /** The reader's own focus goes on to a cell. */
  const reach = (cell: number) => {
    if (placing.current || drag.current) return;
    setFrom(cell);
    setTo(cell);
  };
  return { grid, from, to, shown, hands, focus, reach, setFrom, setTo, setShown };
}

/**
 * The tray from above. Dragging marks a rectangle with the state chosen; with the keyboard the arrows go from
 * cell to cell, Shift with them spans a rectangle, a letter marks it, Enter marks with the state chosen.
 */
export function CellMap({ name, rows, columns, cells, busy, mark, undo }: Props) {
  const { grid, from, to, shown, hands, focus, reach, setFrom, setTo, setShown } = useDrag(columns, mark);
  // of the room, not of the grid: that is narrower once it is turned
  const [room, width] = useWidth<HTMLDivElement>(700);
  // on a narrow screen the tray is turned, so that a thumb meets one cell
  const turned = columns > rows && width < columns * (width < ONE_HAND ? THUMB : NARROW);
  const shownAcross = turned ? rows : columns;
  // a tray too wide even so is moved along under the thumb
  const wide = width < ONE_HAND && width < shownAcross * THUMB;
  const pan = useRef<HTMLDivElement>(null);
  const along = (by: number) => pan.current?.scrollBy({ left: by * width * 0.8, behavior: 'smooth' });
  const chosen = new Set(cellsBetween(from, to, columns));
  const span = () => [...chosen];

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
      {wide && (
        <p className="mb-2 flex gap-2">
          <button type="button" className="btn min-h-12 grow" onClick={() => along(-1)}>
            ‹ cells before
          </button>
          <button type="button" className="btn min-h-12 grow" onClick={() => along(1)}>
            cells after ›
          </button>
        </p>
      )}
      <div ref={pan} className={wide ? 'overflow-x-auto' : ''}>
        <div
          ref={grid}
          role="grid"
          aria-label={`Cells of tray ${name}`}
          aria-multiselectable="true"
          aria-busy={busy}
          className="grid touch-none gap-[3px] rounded-box border-2 border-base-content/70 bg-base-content/20 p-1.5 select-none"
          style={{
            gridTemplateColumns: `repeat(${shownAcross}, minmax(${wide ? '44px' : '0'}, 1fr))`,
            ...(wide ? { width: 'max-content' } : { maxWidth: `${shownAcross * 3.4}rem` }),
          }}
          {...hands}
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
                    onFocus={() => reach(cell)}
                  >
                    <CellPicture state={state} />
                  </div>
                );
              })}
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}
