import { plural } from '@gonimos/core/words';
import { Link } from 'react-router';
import type { RoundStep } from '@gonimos/contract/round';
import { usePlaceName } from '../nursery/queries';
import { fromNow } from '../common/dates';
import type { Open } from './card';

/** Aftercare and looks of the day: short work, one line each. */
export function Care({ steps, today, open }: { steps: RoundStep[]; today: string; open: (o: Open) => void }) {
  const placeName = usePlaceName();
  if (steps.length === 0) return null;
  return (
    <section className="mb-6">
      <h2 className="mb-2 text-xl">
        Aftercare
        <span className="soft ml-3 font-sans text-base font-normal">
          {plural(steps.length, 'look')} and small work
        </span>
      </h2>
      <ul className="card-plain divide-y divide-base-300">
        {steps.map((s) => (
          <li key={s.cohortId + s.key} className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2.5">
            <p className="min-w-48 grow basis-56">
              <strong>{s.title}</strong>
              <span className="soft block text-sm">
                <Link
                  to={`/cohorts/${s.cohortId}`}
                  className="font-bold text-base-content underline decoration-base-300 underline-offset-4"
                >
                  {s.code}
                </Link>
                , {placeName(s.placeId)}
              </span>
            </p>
            <span
              className={`text-sm whitespace-nowrap ${s.closes <= today ? 'font-semibold text-accent' : 'soft'}`}
            >
              {s.closes < today ? 'late' : `closes ${fromNow(s.closes, today)}`}
            </span>
            <span className="no-print flex gap-2 max-sm:w-full">
              <button
                type="button"
                className="btn max-sm:min-h-13 max-sm:grow border border-primary bg-transparent text-primary"
                onClick={() => open({ kind: 'record', step: s })}
              >
                Record
                <span className="sr-only">
                  {' '}
                  {s.title}, {s.code}
                </span>
              </button>
              <button
                type="button"
                className="btn btn-ghost max-sm:min-h-13 border border-base-300"
                onClick={() => open({ kind: 'why', step: s })}
              >
                Why<span className="sr-only">, {s.title}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
