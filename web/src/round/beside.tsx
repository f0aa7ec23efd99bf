import { Link } from 'react-router';
import { container } from '@gonimos/core/containers';
import type { Round as RoundData } from '@gonimos/contract/round';
import { taxon } from '@gonimos/core/taxa';
import { FullBeds } from '../beds/full';
import { Arrivals } from '../stock/arrivals';
import { OnThePlants } from '../fittings/on-the-plants';
import { Tonight } from '../shelter/tonight';
import { WhenIdle } from '../common/after-paint';
import { dateSpan, fromNow, readable, shortDate } from '../common/dates';
import { figure } from '../common/units';

const PHASE_WORDS: Record<string, string> = {
  scarify: 'nick or steep',
  soak: 'soak',
  warm: 'put to warm',
  cold: 'in the cold',
  sow: 'sow',
};

/** What to have at hand for the steps shown. */
function Ready({ round }: { round: RoundData }) {
  if (round.ready.length === 0) return null;
  return (
    <section>
      <h2 className="mb-2 text-lg">Have ready</h2>
      <p className="soft mb-2 text-sm">
        {round.due.length < round.open
          ? `for the ${round.due.length} steps shown`
          : 'for everything open today'}
      </p>
      <dl>
        {round.ready
          .filter((k) => !k.tool)
          .map((k) => (
            <div key={k.what} className="flex justify-between gap-4 py-1">
              <dt>{k.what}</dt>
              <dd className="font-bold whitespace-nowrap">
                {k.amount === null ? 'at hand' : figure(k.amount, k.unit)}
              </dd>
            </div>
          ))}
      </dl>
      <p className="mt-2">
        <span className="soft">Tools:</span>{' '}
        {round.ready
          .filter((k) => k.tool)
          .map((k) => (k.amount !== null && k.amount > 1 ? `${k.amount} × ${k.what}` : k.what))
          .join(', ')}
      </p>
    </section>
  );
}

/** Steps whose windows open soon. */
function Coming({ soon, today }: { soon: RoundData['soon']; today: string }) {
  return (
    <section>
      <h2 className="mb-2 text-lg">Coming</h2>
      {soon.length === 0 && <p className="soft">Nothing opens in the next three weeks.</p>}
      <ul className="divide-y divide-base-300">
        {soon.map((s) => (
          <li key={s.cohortId + s.key} className="flex justify-between gap-4 py-2">
            <Link to={`/cohorts/${s.cohortId}`} className="min-w-0">
              <strong>{s.code}</strong> {s.title}
              {s.putOff && <span className="soft block text-sm">put off: {s.putOff.reason}</span>}
            </Link>
            <span className="soft text-right whitespace-nowrap">
              {shortDate(s.opens, today)}
              <span className="block text-sm">{fromNow(s.opens, today)}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What goes with the day's work: kit, containers that fall short, things to watch, what is coming. */
export function Beside({ round }: { round: RoundData }) {
  const { today } = round;
  return (
    <aside className="grid content-start gap-6 border-base-300 bg-base-100 px-4 py-4 lg:px-5 xl:border-l">
      <Tonight warnings={round.warnings} sheltered={round.sheltered} today={today} />
      <Ready round={round} />
      {round.short.length > 0 && (
        <section className="rounded-box bg-[var(--due)] p-4">
          <h2 className="mb-1 text-lg">Short</h2>
          <ul>
            {round.short.map((s) => (
              <li key={s.container}>
                <strong>{s.wanted - s.have}</strong> {container(s.container).name}
                <span className="soft block text-sm">
                  {s.have} there, {s.wanted} wanted in ninety days
                  {s.arrives && `, more arrive ${shortDate(s.arrives, today)}`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Arrivals arrivals={round.arrivals} today={today} />
      {round.uncounted.length > 0 && (
        <section>
          <h2 className="mb-1 text-lg">Not counted</h2>
          <p>
            {round.uncounted.map((u) => `${u.wanted} ${container(u.container).name}`).join(', ')}
            <span className="soft block text-sm">
              wanted in ninety days;{' '}
              <Link to="/shed/pots" className="underline">
                count the shelf
              </Link>
            </span>
          </p>
        </section>
      )}
      {round.starts.length > 0 && (
        <section>
          <h2 className="mb-2 text-lg">To start</h2>
          <ul className="divide-y divide-base-300">
            {round.starts.map((s) => (
              <li key={s.goalId} className="py-2">
                <Link to="/propagation">
                  <strong>
                    {s.count} {s.unit}
                  </strong>{' '}
                  {taxon(s.taxonId).name}
                  {s.what !== 'start' && `: ${PHASE_WORDS[s.what] ?? s.what}`}
                </Link>
                <span className="soft block text-sm">{dateSpan(s.from, s.to, today)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <WhenIdle>
        <FullBeds today={today} />
      </WhenIdle>
      <OnThePlants fittings={round.fittings} today={today} />
      <section>
        <h2 className="mb-2 text-lg">Watch</h2>
        {round.watch.length === 0 && <p className="soft">Nothing to keep an eye on.</p>}
        <ul className="divide-y divide-base-300">
          {round.watch.map((w) => (
            <li key={w.text} className="py-2">
              {w.cohortId ? (
                <Link to={`/cohorts/${w.cohortId}`}>{readable(w.text, today)}</Link>
              ) : (
                readable(w.text, today)
              )}{' '}
              <strong className={`whitespace-nowrap ${w.when < today ? 'text-accent' : ''}`}>
                {shortDate(w.when, today)}
                {w.when < today && ', late'}
              </strong>
            </li>
          ))}
        </ul>
      </section>
      <Coming soon={round.soon} today={today} />
    </aside>
  );
}
