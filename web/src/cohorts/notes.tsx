import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { container } from '@gonimos/core/containers';
import { useToday } from '../nursery/queries';
import { useRecords } from '../records/queries';
import { duration, shortDate } from '../shared/dates';
import { Loading } from '../shared/loading';

/** Everything recorded of the cohort, newest first. */
export function NotesPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useRecords(cohort.id);
  if (!data) return <Loading error={error} />;
  if (data.length === 0) return <p className="soft">Nothing recorded yet.</p>;
  return (
    <ol className="max-w-3xl divide-y divide-base-300">
      {data.map((r) => {
        const facts = [
          r.done !== null && `${r.done} plants`,
          r.container && `into ${container(r.container).name}`,
          r.caliper !== null && `caliper ${r.caliper.toFixed(1)} mm`,
          r.height !== null && `height ${r.height.toFixed(0)} mm`,
          r.vigour !== null && `vigour ${r.vigour}`,
          r.minutes !== null && duration(r.minutes),
        ].filter(Boolean);
        return (
          <li
            key={r.id}
            className={`grid gap-x-5 py-3 sm:grid-cols-[7rem_1fr] ${r.undone ? 'line-through opacity-70' : ''}`}
          >
            <span className="soft">{shortDate(r.on, today)}</span>
            <div>
              <p>
                <strong>{r.kind === 'put off' ? `Put off: ${r.title}` : r.title}</strong>
                {r.undone && <span className="sr-only"> (undone)</span>}
                {facts.length > 0 && <span className="soft">, {facts.join(', ')}</span>}
              </p>
              {r.note && <p>{r.note}</p>}
              {r.nextTime && <p className="text-info">Next time: {r.nextTime}</p>}
              {r.by && <p className="soft text-sm">{r.by}</p>}
            </div>
          </li>
        );
      })}
    </ol>
  );
}
