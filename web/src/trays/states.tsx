import { CELL_KEYS, type CellState } from '@gonimos/core/trays';

export const STATE_WORDS: Record<CellState, string> = {
  empty: 'empty',
  sown: 'sown',
  eaten: 'eaten',
  up: 'up',
  twin: 'twin',
  lost: 'lost',
  potted: 'potted',
};
export const keyOf = (s: CellState): string => Object.entries(CELL_KEYS).find(([, state]) => state === s)![0];

const FILL: Record<CellState, string> = {
  empty: 'var(--color-base-100)',
  sown: 'var(--rest)',
  eaten: 'var(--due)',
  up: 'var(--celadon)',
  twin: 'var(--celadon)',
  lost: 'var(--due)',
  potted: 'var(--wood-pale)',
};

/** What stands in a cell, told by shape as well as by colour: a seed, a seedling, a gap. */
export function CellPicture({ state }: { state: CellState }) {
  const ink = {
    stroke: 'var(--color-base-content)',
    strokeWidth: 1.7,
    fill: 'none',
    strokeLinecap: 'round' as const,
  };
  return (
    <svg viewBox="0 0 20 20" className="block size-full" aria-hidden="true">
      <rect width={20} height={20} fill={FILL[state]} />
      {state === 'sown' && <ellipse cx={10} cy={11} rx={2.6} ry={3.4} fill="var(--bark)" />}
      {state === 'up' && (
        <path
          d="M10 17V9M10 11C7 11 5 9 5 6c3 0 5 2 5 5M10 11c3 0 5-2 5-5-3 0-5 2-5 5"
          {...ink}
          stroke="var(--color-primary)"
        />
      )}
      {state === 'twin' && (
        <path
          d="M6 17V9M6 10C4 10 3 8 3 6c2 0 3 2 3 4M14 17V9M14 10c2 0 3-2 3-4-2 0-3 2-3 4"
          {...ink}
          stroke="var(--color-primary)"
        />
      )}
      {state === 'eaten' && (
        <path d="M4 4a4 4 0 0 1 4 4 4 4 0 0 1 4 4 4 4 0 0 1 4 4" {...ink} stroke="var(--color-accent)" />
      )}
      {state === 'lost' && <path d="M6 6l8 8M14 6l-8 8" {...ink} stroke="var(--color-accent)" />}
      {state === 'potted' && <path d="M10 15V5M6 9l4-4 4 4" {...ink} stroke="var(--wood-line)" />}
    </svg>
  );
}

/** What is marked most comes first: in one hand only the first few are in sight. */
const BRUSHES: readonly CellState[] = ['up', 'twin', 'eaten', 'lost', 'potted', 'sown', 'empty'];

/** The states to mark with, each with its key and how many cells stand so. */
export function Brushes({
  brush,
  counts,
  choose,
}: {
  brush: CellState;
  counts: Record<CellState, number>;
  choose: (s: CellState) => void;
}) {
  return (
    <div role="radiogroup" aria-label="Mark cells as" className="flex gap-2 overflow-x-auto sm:flex-wrap">
      {BRUSHES.map((s) => (
        <button
          key={s}
          type="button"
          role="radio"
          aria-checked={brush === s}
          className={`flex min-h-12 shrink-0 items-center gap-2 rounded-box border px-2.5 font-semibold ${brush === s ? 'border-base-content bg-neutral text-neutral-content' : 'border-base-300 bg-base-100'}`}
          onClick={() => choose(s)}
        >
          <span className="size-6 border border-base-300">
            <CellPicture state={s} />
          </span>
          {STATE_WORDS[s]} <span className="tabular-nums">{counts[s]}</span>
          <kbd className={`text-sm font-normal max-sm:hidden ${brush === s ? '' : 'soft'}`}>{keyOf(s)}</kbd>
        </button>
      ))}
    </div>
  );
}
