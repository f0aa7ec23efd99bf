import { Link } from 'react-router';
import { percent } from '@gonimos/core/words';
import { monthName } from './months';
import { useFull } from './queries';

/** Benches that will be too full in the months ahead. */
export function FullBeds({ today }: { today: string }) {
  const full = useFull().data ?? [];
  if (full.length === 0) return null;
  return (
    <section>
      <h2 className="mb-2 text-lg">No room</h2>
      <ul>
        {full.map((b) => (
          <li key={b.id}>
            <Link to="/benches" className="underline">
              {b.name}
            </Link>
            : {percent(b.share)} of its room{' '}
            {b.month === today.slice(0, 7) ? 'now' : `in ${monthName(b.month)}`}, as planned
          </li>
        ))}
      </ul>
    </section>
  );
}
