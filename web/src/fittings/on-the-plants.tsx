import { Link } from 'react-router';
import type { Round } from '@gonimos/contract/round';
import { whenWords } from './words';

const FIRST = 5;

/** What holds, presses or covers plants and is to be tended next. */
export function OnThePlants({ fittings, today }: { fittings: Round['fittings']; today: string }) {
  if (fittings.all === 0) return null;
  return (
    <section>
      <h2 className="mb-2 text-lg">On the plants</h2>
      <ul>
        {fittings.soon.slice(0, FIRST).map((f) => (
          <li key={f.id} className="flex justify-between gap-3 py-1">
            <Link to={`/cohorts/${f.cohortId}`}>
              {f.what} <strong>{f.code}</strong>
            </Link>
            <span
              className={`text-right whitespace-nowrap ${f.due < today ? 'font-semibold text-accent' : 'soft'}`}
            >
              {whenWords(f, today)}
            </span>
          </li>
        ))}
      </ul>
      <Link to="/fittings" className="no-print mt-1 inline-block underline underline-offset-4">
        All {fittings.all}, and put something on
      </Link>
    </section>
  );
}
