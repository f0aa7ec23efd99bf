import { useRef, useState } from 'react';
import type { MarkCells, MarkOutcome, Tray } from '@gonimos/contract/trays';
import { markFault, type CellState } from '@gonimos/core/trays';
import { Failure, newId } from '../common/api';
import { useMark, type Send } from './queries';

/** Marks made here that the server has not answered yet lie over what it last told. */
type Over = ReadonlyMap<number, CellState>;

/** What may go wrong with a mark, and whether the same may be sent again. */
export interface Trouble {
  text: string;
  again: Send | null;
}

/** Marks on a tray on their way to the server: shown at once, each with an answer of its own. */
export function useMarks(tray: Tray, cohortId: string) {
  const send = useMark(cohortId);
  const [over, setOver] = useState<Over>(new Map());
  const [met, setMet] = useState<MarkOutcome['conflicts']>([]);
  const [counted, setCounted] = useState(false);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
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

  const mark = (chosen: number[], now: CellState, on: string, cause: string) => {
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
  return { cells, busy, met, counted, trouble, mark, undo, mayUndo: last !== undefined && !busy, fly };
}
