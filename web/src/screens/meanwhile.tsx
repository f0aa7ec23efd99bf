import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { MissedStep } from '@gonimos/contract/round';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { useMeanwhile, useSeen } from '../meanwhile/queries';
import { MissedList } from '../missed/missed-list';
import { useToday } from '../nursery/queries';
import { useRound } from '../round/queries';
import { temperature } from '../common/units';

const RecordStep = lazy(() => import('../course/record-step').then((m) => ({ default: m.RecordStep })));

const day = (iso: string | null, today: string) => (iso === null ? 'no date' : shortDate(iso, today));

/** After days away: what was missed, what moved, what others took down and what was lost, in one list. */
export function Meanwhile() {
  const { data, error } = useMeanwhile();
  const round = useRound().data;
  const seen = useSeen();
  const today = useToday();
  const [recording, setRecording] = useState<MissedStep | null>(null);
  if (!data || !round) return <Loading error={error} />;
  const nothing = round.missed.length + data.moved.length + data.records.length + data.lost.length === 0;
  return (
    <div className="mx-auto grid max-w-3xl content-start gap-7 px-4 py-6">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">
          Meanwhile
          {data.since && (
            <span className="soft ml-3 font-sans text-base font-normal">
              since {shortDate(data.since, today)}
            </span>
          )}
        </h1>
        {data.days > 0 && (
          <button type="button" className="btn btn-primary" onClick={() => seen.mutate(null)}>
            I have seen it
          </button>
        )}
      </header>
      {nothing && <p className="soft text-lg">Nothing happened that you need to know.</p>}
      <MissedList
        steps={round.missed}
        inAll={round.missedInAll}
        today={today}
        first={300}
        onRecord={setRecording}
      />
      {data.coldest && data.coldest.tmin <= 0 && (
        <p>
          The coldest night was {shortDate(data.coldest.on, today)}:{' '}
          <strong>{temperature(data.coldest.tmin, 1)}</strong> in the open.
        </p>
      )}
      {data.lost.length > 0 && (
        <p>Lost: {data.lost.map((l) => `${l.count} to ${l.cause || 'an unknown cause'}`).join(', ')}.</p>
      )}
      {data.moved.length > 0 && (
        <section>
          <h2 className="mb-2 text-xl">{plural(data.moved.length, 'step')} moved by a week or more</h2>
          <ul className="divide-y divide-base-300">
            {data.moved.map((m) => (
              <li key={m.cohortId + m.key} className="flex flex-wrap justify-between gap-x-4 py-2">
                <Link to={`/cohorts/${m.cohortId}`}>
                  <strong>{m.code}</strong> {m.title}
                </Link>
                <span>
                  <s className="soft">{day(m.was, today)}</s> → {day(m.now, today)}
                </span>
                <span className="soft basis-full text-sm">{m.cause}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {data.records.length > 0 && (
        <section>
          <h2 className="mb-2 text-xl">Recorded by others</h2>
          <ul className="divide-y divide-base-300">
            {data.records.map((r) => (
              <li key={r.id} className="flex flex-wrap justify-between gap-x-4 py-2">
                <Link to={`/cohorts/${r.cohortId}`}>
                  <strong>{r.code}</strong> {r.title}
                </Link>
                <span className="soft">
                  {r.by}, {shortDate(r.on, today)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {recording && (
        <Suspense fallback={null}>
          <RecordStep
            step={{ ...recording, stepKey: recording.key }}
            today={today}
            onClose={() => setRecording(null)}
          />
        </Suspense>
      )}
    </div>
  );
}
