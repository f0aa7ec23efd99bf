import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import { container } from '@gonimos/core/containers';
import { useToday } from '../nursery/queries';
import { useRecords } from '../records/queries';
import { duration, shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { DECISIONS, FOUND } from '@gonimos/core/visits';
import { Pictures } from '../pictures/pictures';
import { Causes } from '../visits/causes';

const KIND_WORDS = {
  work: '',
  look: '',
  'put off': 'Put off: ',
  visit: 'Found something: ',
  moved: 'Set by hand: ',
  released: '',
};

/** Everything recorded of the cohort, newest first. */
export function NotesPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useRecords(cohort.id);
  if (!data) return <Loading error={error} />;
  return (
    <div className="grid gap-8">
      <Pictures cohortId={cohort.id} today={today} />
      <ol className="max-w-3xl divide-y divide-base-300">
        {data.map((r) => {
          const facts = [
            r.done !== null && `${r.done} plants`,
            r.container && `into ${container(r.container).name}`,
            r.caliper !== null && `caliper ${r.caliper.toFixed(1)} mm`,
            r.height !== null && `height ${r.height.toFixed(0)} mm`,
            r.vigour !== null && `vigour ${r.vigour}`,
            r.until !== null && `until ${shortDate(r.until, today)}`,
            r.alive !== null && `${r.alive} of ${r.aliveOf} alive`,
            r.sure !== null && `grower ${Math.round(r.sure * 100)} % sure`,
            r.odds !== null && `model ${Math.round(r.odds * 100)} %`,
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
                  <strong>
                    {KIND_WORDS[r.kind]}
                    {r.title}
                  </strong>
                  {r.undone && <span className="sr-only"> (undone)</span>}
                  {facts.length > 0 && <span className="soft">, {facts.join(', ')}</span>}
                </p>
                {r.found && r.found.length > 0 && (
                  <p>
                    Found: {r.found.map((f) => FOUND[f]).join(', ')}.{' '}
                    {r.decision && <strong>{DECISIONS[r.decision]}.</strong>}
                    {r.checkOn && ` Look again ${shortDate(r.checkOn, today)}.`}
                  </p>
                )}
                {r.note && <p>{r.note}</p>}
                {r.causes && r.causes.length > 0 && <Causes causes={r.causes} />}
                {r.nextTime && <p className="text-info">Next time: {r.nextTime}</p>}
                {r.by && <p className="soft text-sm">{r.by}</p>}
              </div>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
