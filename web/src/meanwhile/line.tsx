import { useEffect } from 'react';
import { Link } from 'react-router';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { useMeanwhile, useSeen } from './queries';

/** From so many days away on, what happened is told; what happened in fewer was seen from day to day. */
const AWAY_DAYS = 3;

/** After days away: what happened meanwhile, in one line that leads to all of it. */
export function MeanwhileLine({ missed }: { missed: number }) {
  const { data } = useMeanwhile();
  const { mutate: seen } = useSeen();
  const here = data !== undefined && data.days < AWAY_DAYS && data.since !== data.today;
  useEffect(() => {
    if (here) seen(null);
  }, [here, seen]);
  if (!data || data.days < AWAY_DAYS) return null;
  const told = [
    missed > 0 && `${missed} missed`,
    data.moved.length > 0 && `${plural(data.moved.length, 'step')} moved`,
    data.records.length > 0 && `${plural(data.records.length, 'thing')} recorded by others`,
  ].filter(Boolean);
  return (
    <section className="no-print mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 bg-[var(--slip)] px-4 py-2">
      <p className="grow">
        <strong>You were last here {shortDate(data.since!, data.today)}.</strong>{' '}
        {told.length > 0 ? `${told.join(', ')}.` : 'Nothing happened that you need to know.'}
      </p>
      <Link to="/meanwhile" className="btn btn-sm btn-outline min-h-11 lg:min-h-9">
        Go through it
      </Link>
      <button type="button" className="btn btn-sm btn-ghost min-h-11 lg:min-h-9" onClick={() => seen(null)}>
        I know
      </button>
    </section>
  );
}
