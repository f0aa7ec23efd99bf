import { useMemo } from 'react';
import { compareFronts, frontAt, sideWords, type RootSeen, type StemRecord } from '@gonimos/core/stem';

interface Props {
  record: StemRecord;
  finished: number;
  roots: readonly RootSeen[];
  onFront: (front: number) => void;
}

const said = (points: number) => `${points > 0 ? '+' : '−'}${Math.abs(points).toFixed(1)}`;

/** Candidate fronts by branches and roots together, beside the one that is drawn. */
export function Fronts({ record, finished, roots, onFront }: Props) {
  const { best, own } = useMemo(
    () => ({
      best: compareFronts(record, finished, roots),
      own: frontAt(record, record.front, finished, roots),
    }),
    [record, finished, roots],
  );
  return (
    <section aria-label="Fronts" className="grid gap-2">
      <h3 className="text-lg">Fronts</h3>
      <p className="soft">
        The front that is drawn has {own.points.toFixed(1)} points.{' '}
        {roots.length > 0
          ? 'Roots are those of its last drawing.'
          : 'No roots were drawn of this plant: branches alone speak.'}{' '}
        Points are common practice, no source.
      </p>
      <ul>
        {best.map((f) => (
          <li key={f.front} className="flex flex-wrap items-center gap-x-3 border-t border-base-300 py-1.5">
            <span className="min-w-48 flex-1">
              <strong>
                {f.front}°, {sideWords(f.front)}: {f.points.toFixed(1)}
              </strong>
              <span className="soft block text-sm">
                {f.terms.map((t) => `${t.label} ${said(t.points)}`).join('; ')}
              </span>
            </span>
            {f.front === record.front ? (
              <span className="soft">drawn so</span>
            ) : (
              <button
                type="button"
                className="btn btn-outline btn-sm min-h-11"
                onClick={() => onFront(f.front)}
              >
                Look from here<span className="sr-only">, {f.front}°</span>
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
