import type { StockRow } from '@gonimos/contract/stock';
import type { Fit, Verdict } from '@gonimos/core/fit';
import { plural } from '@gonimos/core/words';
import { inUnits, volume } from '../common/units';

const MARK: Record<Verdict, string> = { good: '✓', flagged: '!', refused: '✕' };
const TONE: Record<Verdict, string> = {
  good: 'text-success',
  flagged: 'text-warning',
  refused: 'text-error',
};
/** What speaks for a pot and against it. */
export function Reasons({ fit }: { fit: Fit }) {
  return (
    <ul>
      {fit.reasons.map((r) => (
        <li key={r.text} className="flex gap-2">
          <span className={`font-bold ${TONE[r.verdict]}`} aria-hidden>
            {MARK[r.verdict]}
          </span>
          {inUnits(r.text)}.
        </li>
      ))}
    </ul>
  );
}

/** How many stand on the shelf, and how many the cohort wants. */
function Shelf({ pot, stock, plants }: { pot: string; stock: readonly StockRow[]; plants: number }) {
  const have = stock.find((s) => s.container === pot)?.have ?? null;
  if (have === null) return <span className="soft">not counted</span>;
  return have < plants ? (
    <strong className="text-accent">
      {have} there, {plants - have} short for {plants}
    </strong>
  ) : (
    <span className="soft">{have} there</span>
  );
}

/** What its verdict rests on. */
const why = ({ reasons, verdict }: Fit): string =>
  reasons
    .filter((r) => r.verdict === verdict)
    .map((r) => r.text)
    .join('; ');

interface PotsProps {
  fits: readonly Fit[];
  shown: Fit | undefined;
  onChoose: (pot: string) => void;
  stock: readonly StockRow[];
  plants: number;
}

function PotLines({ fits, shown, onChoose, stock, plants }: PotsProps) {
  return (
    <ol className="divide-y divide-base-300 border-y border-base-300">
      {fits.map((f) => (
        <li key={f.pot.id}>
          <button
            type="button"
            aria-pressed={f === shown}
            className={`grid min-h-12 w-full grid-cols-[1.5rem_minmax(0,1fr)_auto] items-baseline gap-x-2 px-2 py-2 text-left ${f === shown ? 'bg-base-200' : ''}`}
            onClick={() => onChoose(f.pot.id)}
          >
            <span className={`text-center font-bold ${TONE[f.verdict]}`}>
              {MARK[f.verdict]}
              <span className="sr-only">{f.verdict}</span>
            </span>
            <span>
              <strong>{f.pot.name}</strong>, {volume(f.litres)}
              <span className="soft block text-sm">{inUnits(why(f))}</span>
            </span>
            <span className="max-w-32 text-right text-sm">
              <Shelf pot={f.pot.id} stock={stock} plants={plants} />
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Pots that can be used, the best first; those it does not go into lie in a fold. */
export function Pots(p: PotsProps) {
  const can = p.fits.filter((f) => f.verdict !== 'refused');
  const not = p.fits.filter((f) => f.verdict === 'refused');
  return (
    <section aria-label="Pots" className="grid gap-3">
      {can.length > 0 ? <PotLines {...p} fits={can} /> : <p>It goes into none of the pots there are.</p>}
      {not.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5">
            {plural(not.length, 'pot')} it does not go into
          </summary>
          <PotLines {...p} fits={not} />
        </details>
      )}
    </section>
  );
}
