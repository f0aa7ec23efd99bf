import { RULE_WORDS } from '@gonimos/core/course';
import { percent } from '@gonimos/core/words';
import { Link } from 'react-router';
import { container } from '@gonimos/core/containers';
import { taxon } from '@gonimos/core/taxa';
import type { RoundStep } from '@gonimos/contract/round';
import { useMay } from '../people/session';
import { readable, seasonYear, shortDate } from '../common/dates';
import { Section } from '../common/section';
import { WindowBar } from '../common/window-bar';
import { countWords } from '../common/words';

export type Open = { kind: 'record' | 'put off' | 'why' | 'found'; step: RoundStep } | null;

interface Props {
  step: RoundStep;
  today: string;
  open: (o: Open) => void;
  /** chosen for recording several at once; null when choosing is off */
  chosen: boolean | null;
  onChoose: (on: boolean) => void;
}

const GHOST = 'btn btn-ghost max-sm:min-h-13 border border-base-300 px-1 text-sm whitespace-nowrap';

/** One piece of work: what, on which plants, how long the window stays open, and what may be done with it. */
export function Card({ step, today, open, chosen, onChoose }: Props) {
  const may = useMay('grower');
  const detail = [
    step.container ? `into ${container(step.container).name}` : null,
    step.rootCut ? `take up to ${percent(step.rootCut.take)} of the root` : null,
    step.topCut ? `no more than ${percent(step.topCut.take)} of the top, to live growth` : null,
    step.odds !== null && step.odds < 0.95
      ? `${Math.round(step.odds * 100)} in a hundred live through it`
      : null,
  ].filter(Boolean);
  const found = step.reasons.find((r) => r.rule === 'quarantine');
  const week = step.reasons.find((r) => r.rule === 'labour');
  return (
    <li className="card-plain grid grid-cols-[3.5rem_1fr] items-center gap-x-4 gap-y-3 p-4 sm:grid-cols-[3.5rem_minmax(0,1fr)_13.75rem_11rem] print:break-inside-avoid">
      {chosen === null ? (
        <Section
          rings={step.rings}
          season={seasonYear(today)}
          containerId={step.cohortContainer}
          target={step.goalCaliper}
          size={56}
        />
      ) : (
        <label className="grid min-h-14 place-items-center">
          <input
            type="checkbox"
            className="checkbox checkbox-primary size-8"
            checked={chosen}
            aria-label={`Choose ${step.code}, ${step.title}`}
            onChange={(e) => onChoose(e.target.checked)}
          />
        </label>
      )}
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
        {step.host && <p className="mt-1 text-sm">In the pots of {step.host}</p>}
        {step.guests.length > 0 && (
          <p className="mt-1 text-sm">
            Guests in the same pots: {step.guests.map((g) => `${g.live} of ${g.code}`).join(', ')}
          </p>
        )}
        {step.moved && (
          <p className="mt-1 text-sm text-info">
            Set by hand to {shortDate(step.moved.to, today)}
            {step.moved.overrides &&
              ` against ‘${RULE_WORDS[step.moved.overrides].words}’: ${step.moved.reason}`}
          </p>
        )}
        {found && <p className="mt-1 text-sm font-semibold text-accent">{readable(found.text, today)}</p>}
        {week && !step.moved && week.figures[0] && typeof week.figures[0].value === 'string' && (
          <p className="soft mt-1 text-sm">
            Levelled year: week of {shortDate(week.figures[0].value, today)}
          </p>
        )}
        {step.nextTime && <p className="mt-1 text-sm text-info">Last time: {step.nextTime}</p>}
        {step.putOff && <p className="mt-1 text-sm text-warning">Was put off: {step.putOff.reason}</p>}
      </div>
      <div className="col-span-2 sm:col-span-1">
        <WindowBar opens={step.opens} closes={step.closes} today={today} />
      </div>
      <div className="no-print col-span-2 flex flex-wrap gap-2 sm:col-span-1 sm:flex-col">
        <button
          type="button"
          className="btn btn-primary btn-tall grow px-6 max-sm:basis-full sm:grow-0"
          onClick={() => open({ kind: 'record', step })}
        >
          Record
          <span className="sr-only">
            {' '}
            {step.title}, {step.code}
          </span>
        </button>
        <span className="grid grow auto-cols-fr grid-flow-col gap-2">
          {may && (
            <button type="button" className={GHOST} onClick={() => open({ kind: 'put off', step })}>
              Not yet
            </button>
          )}
          <button type="button" className={GHOST} onClick={() => open({ kind: 'found', step })}>
            Found
            <span className="sr-only"> something, {step.code}</span>
          </button>
          <button type="button" className={GHOST} onClick={() => open({ kind: 'why', step })}>
            Why
          </button>
        </span>
      </div>
    </li>
  );
}
