import { useMemo } from 'react';
import { DOWNWARD } from '@gonimos/core/roots';
import type { Stance } from '@gonimos/core/stance';
import {
  compareFronts,
  frontAt,
  sideBetween,
  sideWords,
  type Front,
  type StemRecord,
} from '@gonimos/core/stem';
import { points } from '../common/points';
import { FrontView, type RootsDrawn } from './front-view';

interface Props {
  /** null: no stem was drawn */
  stem: StemRecord | null;
  finished: number;
  roots: RootsDrawn | null;
  /** how it stands now; the front of it is the one that is drawn */
  stance: Stance;
  pot: string | null;
  /** sides that were left open besides it, degrees */
  open?: readonly number[];
  onFront: (front: number) => void;
  /** leaves a side open, or no longer */
  onOpen?: (front: number, open: boolean) => void;
}

/** Fronts nearer than this are one, degrees. */
const ONE = 5;
/** One so near to another is worth a look of its own only where it is better by so many points. */
const NEAR = 30;
const BETTER = 0.5;
/** As many as are looked at side by side. */
const MOST = 4;

const NONE: readonly number[] = [];

/** A plant of which only the roots were drawn. */
const bare = (base: number, front: number): StemRecord => ({
  base,
  height: base * 6,
  front,
  girths: [],
  parts: [],
});

/** The front as it is drawn, then those left open, then the best of all round. */
function candidates({
  stem,
  finished,
  roots,
  stance,
  open,
}: Pick<Props, 'stem' | 'finished' | 'roots' | 'stance'> & { open: readonly number[] }): Front[] {
  const record = stem ?? bare(roots?.record.trunk ?? 10, stance.front);
  const seen = roots?.record.roots.filter((r) => r.angle < DOWNWARD) ?? [];
  const all = [stance.front, ...open].map((front) => frontAt(record, front, finished, seen));
  const isNews = (f: Front) =>
    all.every((a) => sideBetween(a.front, f.front) >= (f.points > a.points + BETTER ? ONE : NEAR));
  for (const f of compareFronts(record, finished, seen)) if (all.length < MOST && isNews(f)) all.push(f);
  return all;
}

/** Sides that may be the front, drawn beside each other, by branches and roots together. */
export function Fronts(p: Props) {
  const { stem, roots, stance, finished, open = NONE, pot, onFront, onOpen } = p;
  const all = useMemo(
    () => candidates({ stem, finished, roots, stance, open }),
    [stem, finished, roots, stance, open],
  );
  // a plant of sixty branches from four sides is not drawn again with each tap beside it
  const views = useMemo(
    () =>
      all.map((f) => (
        <FrontView
          key={f.front}
          stem={stem}
          roots={roots}
          stance={{ ...stance, front: f.front }}
          top={finished * 1.15}
          pot={pot}
        />
      )),
    [all, stem, roots, stance, finished, pot],
  );
  const isOpen = (front: number) => open.some((o) => sideBetween(o, front) < ONE);
  return (
    <section aria-label="Fronts" className="when-near grid gap-2">
      <h3 className="text-lg">Fronts</h3>
      <p className="soft">
        {stem && roots
          ? 'Branches and roots speak together, each by its last drawing.'
          : stem
            ? 'No roots were drawn of this plant: branches alone speak.'
            : 'No stem was drawn of this plant: roots alone speak.'}{' '}
        Points are common practice, no source.
      </p>
      <ul className="grid gap-3 sm:grid-cols-2">
        {all.map((f, i) => (
          <li key={f.front} className="grid content-start gap-1 border-t border-base-300 pt-2">
            {views[i]}
            <p className="flex items-baseline justify-between gap-2">
              <strong>
                {f.front}°, {sideWords(f.front)}: {f.points.toFixed(1)}
              </strong>
              {i === 0 && <span className="soft">drawn so</span>}
            </p>
            <p className="soft text-sm">{f.terms.map((t) => `${t.label} ${points(t.points)}`).join('; ')}</p>
            {i > 0 && (
              <p className="flex flex-wrap gap-2 pt-1">
                <button
                  type="button"
                  className="btn btn-outline btn-sm min-h-11"
                  onClick={() => onFront(f.front)}
                >
                  Make it the front<span className="sr-only">, {f.front}°</span>
                </button>
                {onOpen && (
                  <button
                    type="button"
                    className={`btn btn-sm min-h-11 ${isOpen(f.front) ? 'btn-neutral' : 'btn-ghost'}`}
                    aria-pressed={isOpen(f.front)}
                    onClick={() => onOpen(f.front, !isOpen(f.front))}
                  >
                    {isOpen(f.front) ? 'Left open' : 'Leave it open'}
                    <span className="sr-only">, {f.front}°</span>
                  </button>
                )}
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
