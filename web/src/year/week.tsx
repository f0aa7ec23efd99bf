import { Lock, LockOpen } from 'lucide-react';
import { Link } from 'react-router';
import { addDays } from '@gonimos/core/calendar';
import { useMay } from '../people/session';
import { dateSpan, duration, shortDate } from '../common/dates';
import { useLockStep, useLockWeek } from './queries';
import { lackWords, lossWords } from './verdict';
import type { YearHead, YearView } from './view';

interface Props {
  year: YearHead;
  week: number;
  view: YearView;
  /** the weeks shown are those that are kept, so steps can be locked into them */
  kept: boolean;
  /** more of its lines are wanted */
  onMore: () => void;
}

/** The work of one week: what, for whom, how long; what does not fit, and which windows would be lost. */
export function Week({ year, week, view, kept, onMore }: Props) {
  const may = useMay('grower');
  const lockStep = useLockStep();
  const lockWeek = useLockWeek();
  const monday = year.weeks[week];
  const locked = year.lockedWeeks.includes(monday);
  const { lines, inWeek } = view;
  const load = view.load[week];
  return (
    <section>
      <header className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-xl">
          {dateSpan(monday, addDays(monday, 6), year.today)}
          <span className="soft ml-3 font-sans text-base font-normal">
            {duration(load.all)} of {duration(year.capacity.all[week])}
            {year.routine[week] > 0 && `, ${duration(year.routine[week])} of routine besides`}
          </span>
        </h2>
        {may && (
          <button
            type="button"
            className="btn btn-outline gap-2"
            aria-pressed={locked}
            disabled={lockWeek.isPending}
            onClick={() => lockWeek.mutate({ week: monday, locked: !locked })}
          >
            {locked ? <LockOpen size={18} /> : <Lock size={18} />}{' '}
            {locked ? 'Open this week' : 'Lock this week'}
          </button>
        )}
      </header>
      {lines.length === 0 && <p className="soft py-3">Nothing falls into this week.</p>}
      <ul className="divide-y divide-base-300">
        {lines.map((l) => {
          const gap = l.short;
          return (
            <li key={l.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
              <p className="min-w-56 grow basis-64">
                <Link
                  to={`/cohorts/${l.cohortId}`}
                  className="font-bold underline decoration-base-300 underline-offset-4"
                >
                  {l.code}
                </Link>{' '}
                {l.title}
                <span className="soft block text-sm">
                  window {dateSpan(l.opens, l.closes, year.today)}
                  {l.crew > 1 && `, ${l.crew} people`}
                  {l.skilled && ', wants practice'}
                </span>
                {gap && (
                  <span className="block text-sm font-semibold text-accent">
                    Does not fit: {lackWords(gap, year, load)}; {lossWords(gap)}
                  </span>
                )}
              </p>
              <span className="soft whitespace-nowrap">{duration(l.minutes)}</span>
              {may && kept && (
                <button
                  type="button"
                  className="btn btn-ghost gap-2 border border-base-300"
                  aria-pressed={l.locked}
                  disabled={lockStep.isPending}
                  onClick={() =>
                    lockStep.mutate({ cohortId: l.cohortId, key: l.key, week: l.locked ? null : monday })
                  }
                >
                  {l.locked ? <Lock size={16} /> : <LockOpen size={16} />} {l.locked ? 'Locked' : 'Lock'}
                  <span className="sr-only">
                    {' '}
                    {l.title}, {l.code} in the week of {shortDate(monday, year.today)}
                  </span>
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {inWeek > lines.length && (
        <button type="button" className="btn btn-outline btn-tall" onClick={onMore}>
          Show more of the {inWeek}
        </button>
      )}
    </section>
  );
}
