import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { container } from '@gonimos/core/containers';
import { taxon } from '@gonimos/core/taxa';
import type { Round as RoundData, RoundStep } from '@gonimos/contract/round';
import { usePlaceName } from '../nursery/queries';
import { useMay } from '../people/session';
import { PutOffSheet } from '../records/put-off-sheet';
import { RecordSheet } from '../records/record-sheet';
import { dateSpan, duration, fromNow, readable, seasonYear, shortDate, weekdayDate } from '../shared/dates';
import { Loading } from '../shared/loading';
import { Section } from '../shared/section';
import { Why } from '../shared/why';
import { WindowBar } from '../shared/window-bar';
import { countWords } from '../shared/words';
import { FIRST_STEPS, useRound } from './queries';

type Open = { kind: 'record' | 'put off' | 'why'; step: RoundStep } | null;

const recordable = (s: RoundStep) => ({ ...s, stepKey: s.key });

function Card({ step, today, open }: { step: RoundStep; today: string; open: (o: Open) => void }) {
  const may = useMay('grower');
  const detail = [
    step.container ? `into ${container(step.container).name}` : null,
    step.rootCut ? `take up to ${Math.round(step.rootCut.take * 100)} % of the root` : null,
  ].filter(Boolean);
  return (
    <li className="card-plain grid grid-cols-[3.5rem_1fr] items-center gap-x-4 gap-y-3 p-4 sm:grid-cols-[3.5rem_minmax(0,1fr)_14rem_9rem] print:break-inside-avoid">
      <Section
        rings={step.rings}
        season={seasonYear(today)}
        containerId={step.cohortContainer}
        target={step.goalCaliper}
        size={56}
      />
      <div className="min-w-0">
        <h3 className="text-[1.06rem]">{step.title}</h3>
        <p className="soft mt-0.5">
          <Link
            to={`/cohorts/${step.cohortId}`}
            className="font-bold text-base-content underline decoration-base-300 underline-offset-4"
          >
            {step.code}
          </Link>{' '}
          {taxon(step.taxonId).name}, {countWords(step)}
          {detail.length > 0 && ` · ${detail.join(' · ')}`}
        </p>
        {step.nextTime && <p className="mt-1 text-sm text-info">Last time: {step.nextTime}</p>}
        {step.putOff && <p className="mt-1 text-sm text-warning">Was put off: {step.putOff.reason}</p>}
      </div>
      <div className="col-span-2 sm:col-span-1">
        <WindowBar opens={step.opens} closes={step.closes} today={today} />
      </div>
      <div className="no-print col-span-2 flex gap-2 sm:col-span-1 sm:flex-col">
        <button
          type="button"
          className="btn btn-primary btn-tall grow px-6 sm:grow-0"
          onClick={() => open({ kind: 'record', step })}
        >
          Record
          <span className="sr-only">
            {' '}
            {step.title}, {step.code}
          </span>
        </button>
        <span className="grid auto-cols-fr grid-flow-col gap-2">
          {may && (
            <button
              type="button"
              className="btn btn-ghost max-sm:min-h-13 border border-base-300 px-2 whitespace-nowrap"
              onClick={() => open({ kind: 'put off', step })}
            >
              Not yet
            </button>
          )}
          <button
            type="button"
            className="btn btn-ghost max-sm:min-h-13 border border-base-300 px-2"
            onClick={() => open({ kind: 'why', step })}
          >
            Why
          </button>
        </span>
      </div>
    </li>
  );
}

/** Places in the order of the window that closes first. */
function byPlace(steps: RoundStep[]): [string, RoundStep[]][] {
  const groups = new Map<string, RoundStep[]>();
  for (const s of steps) groups.set(s.placeId, [...(groups.get(s.placeId) ?? []), s]);
  return [...groups];
}

function Beside({ round }: { round: RoundData }) {
  const { today } = round;
  return (
    <aside className="grid content-start gap-7 border-base-300 bg-base-100 px-4 py-6 lg:px-6 xl:border-l">
      {round.ready.length > 0 && (
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
                  <dd className="font-bold whitespace-nowrap">{`${k.amount?.toLocaleString('en-GB')} ${k.unit}`}</dd>
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
      )}
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
              <strong className="whitespace-nowrap">{shortDate(w.when, today)}</strong>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="mb-2 text-lg">Coming</h2>
        {round.soon.length === 0 && <p className="soft">Nothing opens in the next three weeks.</p>}
        <ul className="divide-y divide-base-300">
          {round.soon.map((s) => (
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
    </aside>
  );
}

export function Round() {
  const [most, setMost] = useState(FIRST_STEPS);
  const { data: round, error } = useRound(most);
  const placeName = usePlaceName();
  const [open, setOpen] = useState<Open>(null);
  if (!round) return <Loading error={error} />;
  const { today, due, closing } = round;
  return (
    <div className="xl:grid xl:min-h-full xl:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="px-4 py-6 lg:px-6">
        <header className="mb-5 flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-3xl">
            {weekdayDate(today)}
            <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
              {round.open} open{closing > 0 && `, ${closing} close within ten days`}
            </span>
          </h1>
          <button
            type="button"
            className="no-print btn btn-outline hidden gap-2 sm:flex"
            onClick={() => window.print()}
          >
            <Printer size={18} /> Print sheet
          </button>
        </header>
        {due.length === 0 && (
          <p className="card-plain soft p-6 text-lg">
            Nothing is due today.{' '}
            {round.soon[0] ? (
              `The next window opens ${fromNow(round.soon[0].opens, today)}: ${round.soon[0].code}, ${round.soon[0].title}.`
            ) : (
              <Link to="/cohorts/new" className="underline">
                Start a cohort
              </Link>
            )}
          </p>
        )}
        {byPlace(due).map(([place, steps]) => (
          <section key={place} className="mb-6">
            <h2 className="mb-2 text-xl">
              {placeName(place)}
              <span className="soft ml-3 font-sans text-base font-normal">
                {steps.length} step{steps.length === 1 ? '' : 's'},{' '}
                {duration(steps.reduce((n, s) => n + s.minutes, 0))}
              </span>
            </h2>
            <ul className="grid gap-2.5">
              {steps.map((s) => (
                <Card key={s.cohortId + s.key} step={s} today={today} open={setOpen} />
              ))}
            </ul>
          </section>
        ))}
        {due.length < round.open && (
          <button
            type="button"
            className="no-print btn btn-outline btn-tall"
            onClick={() => setMost(most * 2)}
          >
            Show more of the {round.open}
          </button>
        )}
      </div>
      <Beside round={round} />
      {open?.kind === 'record' && (
        <RecordSheet step={recordable(open.step)} today={today} onClose={() => setOpen(null)} />
      )}
      {open?.kind === 'put off' && (
        <PutOffSheet step={recordable(open.step)} today={today} onClose={() => setOpen(null)} />
      )}
      {open?.kind === 'why' && (
        <Why
          title={`${open.step.code} · ${open.step.title}, ${dateSpan(open.step.opens, open.step.closes, today)}`}
          reasons={open.step.reasons}
          today={today}
          onClose={() => setOpen(null)}
        />
      )}
    </div>
  );
}
