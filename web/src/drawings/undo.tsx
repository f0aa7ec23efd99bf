import { Redo2, Undo2 } from 'lucide-react';

interface Props {
  drawing: { undo: readonly unknown[]; redo: readonly unknown[] };
  act: (a: { do: 'undo' } | { do: 'redo' }) => void;
}

/** Takes back the last thing done to a drawing, and does it again. */
export function UndoRedo({ drawing, act }: Props) {
  const button = 'btn btn-square border border-base-300 bg-base-100';
  return (
    <span className="flex gap-2">
      <button
        type="button"
        className={button}
        aria-label="Undo"
        disabled={drawing.undo.length === 0}
        onClick={() => act({ do: 'undo' })}
      >
        <Undo2 size={18} />
      </button>
      <button
        type="button"
        className={button}
        aria-label="Redo"
        disabled={drawing.redo.length === 0}
        onClick={() => act({ do: 'redo' })}
      >
        <Redo2 size={18} />
      </button>
    </span>
  );
}
