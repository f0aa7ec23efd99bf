import { useEffect, useSyncExternalStore } from 'react';
import { plural } from '@gonimos/core/words';
import { call } from './api';
import { useWrite } from './write';

/** Seconds in which what was just recorded can be taken back here; later it is found in the ledger. */
export const UNDO_SECONDS = 60;

interface Offered {
  recordId: string;
  words: string;
  moved: number;
  until: number;
}

let offered: Offered | null = null;
const listeners = new Set<() => void>();
const tell = (next: Offered | null) => {
  offered = next;
  for (const listen of listeners) listen();
};

/** Says what was recorded, and offers for a minute to take it back, wherever the grower goes meanwhile. */
export const offerUndo = (recordId: string, words: string, moved = 0): void =>
  tell({ recordId, words, moved, until: Date.now() + UNDO_SECONDS * 1000 });

export const useUndo = () =>
  useWrite((recordId: string, id) => call<unknown>('POST', `/records/${recordId}/undo`, { id }));

/** The bar at the foot of the page. */
export function UndoBar() {
  const now = useSyncExternalStore(
    (listen) => {
      listeners.add(listen);
      return () => listeners.delete(listen);
    },
    () => offered,
  );
  const undo = useUndo();
  useEffect(() => {
    if (!now) return;
    const end = setTimeout(() => tell(null), Math.max(0, now.until - Date.now()));
    return () => clearTimeout(end);
  }, [now]);
  if (!now) return null;
  return (
    <div
      role="status"
      className="no-print fixed inset-x-3 bottom-20 z-20 mx-auto flex max-w-xl flex-wrap items-center gap-x-4 gap-y-2 rounded-box bg-neutral px-4 py-2.5 text-neutral-content lg:bottom-5"
    >
      <span className="min-w-0 grow">
        {undo.error ? undo.error.message : now.words}
        {now.moved > 0 && ` ${plural(now.moved, 'step')} moved with it.`}
      </span>
      <button
        type="button"
        className="btn border-neutral-content bg-transparent text-neutral-content"
        disabled={undo.isPending}
        onClick={() => undo.mutate(now.recordId, { onSuccess: () => tell(null) })}
      >
        Undo
      </button>
      <button
        type="button"
        className="btn btn-ghost text-neutral-content hover:bg-transparent"
        onClick={() => tell(null)}
      >
        Good
      </button>
    </div>
  );
}
