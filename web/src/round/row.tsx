import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { RULE_WORDS } from '@gonimos/core/course';
import { container } from '@gonimos/core/containers';
import { operation } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';
import { percent } from '@gonimos/core/words';
import { leftOf } from '@gonimos/contract/records';
import type { RoundStep } from '@gonimos/contract/round';
import { readable, seasonYear, shortDate } from '../common/dates';
import { Section } from '../common/section';
import { WindowBar } from '../common/window-bar';
import { countWords } from '../common/words';
import { useMay } from '../people/session';
import { Held } from '../visits/held';
import { ClockButton } from '../clock/clock-button';
import { isUsual, recordable } from './quick';

/** What may be done with a step. */
export type Deed = 'all' | 'record' | 'put off' | 'found' | 'why';

interface Props {
  step: RoundStep;
  today: string;
  /** the place, where the heading does not tell it */
  where: string | null;
  current: boolean;
  onCurrent: () => void;
  act: (deed: Deed) => void;
  /** chosen for recording several at once; null when choosing is off */
  chosen: boolean | null;
  onChoose: (on: boolean) => void;
}

/** What is to be done and how much of it, in one line. */
function detailOf(s: RoundStep): string {
  const words = [
    s.about !== null ? `on the ${s.about} that were worked` : null,
    s.part > 0 ? `${s.part} done, ${leftOf(s)} left` : null,
    s.container ? `into ${container(s.container).name}` : null,
    s.rootCut ? `up to ${percent(s.rootCut.take)} of the root` : null,
    s.topCut ? `no more than ${percent(s.topCut.take)} of the top, to live growth` : null,
    s.odds !== null && s.odds < 0.95 ? `${Math.round(s.odds * 100)} in a hundred live through it` : null,
    s.host ? `in the pots of ${s.host}` : null,
  ];
  return words.filter(Boolean).join(' · ');
}

/** What was said of it before, and what stands beside it: for the step one is at. */
function More({ step: s, today }: { step: RoundStep; today: string }) {
  const found = s.reasons.find((r) => r.rule === 'quarantine');
  const week = s.reasons.find((r) => r.rule === 'labour')?.figures[0]?.value;
  return (
    <>
      {s.guests.length > 0 && (
        <p>Guests in the same pots: {s.guests.map((g) => `${g.live} of ${g.code}`).join(', ')}</p>
      )}
      {s.moved && (
        <p className="text-info">
          Set by hand to {shortDate(s.moved.to, today)}
          {s.moved.overrides && ` against ‘${RULE_WORDS[s.moved.overrides].words}’: ${s.moved.reason}`}
        </p>
      )}
      {s.held && <Held held={s.held} cohortId={s.cohortId} today={today} />}
      {found && !s.held && <p className="font-semibold text-accent">{readable(found.text, today)}</p>}
      {typeof week === 'string' && !s.moved && (
        <p className="soft">Levelled year: week of {shortDate(week, today)}</p>
      )}
      {s.nextTime && <p className="text-info">Last time: {s.nextTime}</p>}
      {s.putOff && <p className="text-warning">Was put off: {s.putOff.reason}</p>}
    </>
  );
}

/** "All 127 done", after a part of them "The other 67 done". */
function doneWords(s: RoundStep): string {
  const left = leftOf(s);
  if (s.part > 0) return left > 0 ? `The other ${left} done` : 'Finish it';
  return left > 1 ? `All ${left} done` : 'Done';
}

const QUIET =
  'btn btn-ghost btn-sm min-h-12 grow basis-[28%] border-base-300 px-3 lg:min-h-8 lg:grow-0 lg:basis-auto';

/** Where work is drawn and decided: stems that are set together, roots, or the stem; null: it is drawn nowhere. */
function benchOf(s: RoundStep): { path: string; name: string } | null {
  if (operation(s.operation).joins) return { path: 'fuse', name: 'Together' };
  if (s.lane === 'roots') return { path: 'roots', name: 'Roots' };
  return s.lane === 'top' ? { path: 'stem', name: 'Stem' } : null;
}

/** Everything that may be done with the step one is at. */
function Deeds({ step: s, act }: { step: RoundStep; act: (deed: Deed) => void }) {
  const may = useMay('grower');
  const drawn = benchOf(s);
  return (
    <span className="no-print flex flex-wrap gap-2">
      {isUsual(s) && (
        <button
          type="button"
          className="btn btn-primary min-h-13 grow basis-full lg:btn-sm lg:min-h-8 lg:grow-0 lg:basis-auto"
          onClick={() => act('all')}
        >
          {doneWords(s)}
          <span className="sr-only">, {s.code}</span>
        </button>
      )}
      <button type="button" className={`${QUIET} lg:hidden`} onClick={() => act('record')}>
        {isUsual(s) ? 'Other' : 'Record'}
        <span className="sr-only">
          {isUsual(s) && ' result:'} {s.title}, {s.code}
        </span>
      </button>
      {may && (
        <button type="button" className={QUIET} onClick={() => act('put off')}>
          Not yet
        </button>
      )}
      <button type="button" className={QUIET} onClick={() => act('found')}>
        Found
        <span className="sr-only"> something, {s.code}</span>
      </button>
      {drawn && (
        <Link to={`/cohorts/${s.cohortId}/${drawn.path}`} className={QUIET}>
          {drawn.name}
          <span className="sr-only"> drawn, {s.code}</span>
        </Link>
      )}
      <ClockButton step={recordable(s)} className={QUIET} />
      <button type="button" className={QUIET} onClick={() => act('why')}>
        Why
      </button>
    </span>
  );
}

/** One step of the round, a line of a list; the one that is current shows all that may be done with it. */
export function StepRow({ step: s, today, where, current, onCurrent, act, chosen, onChoose }: Props) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (current) row.current?.scrollIntoView({ block: 'nearest' });
  }, [current]);
  const label = `${s.title}, ${s.code}`;
  return (
    <li
      ref={row}
      aria-current={current}
      className={`step-row ${current ? 'step-row-current' : ''}`}
      // by a key only: a click that moved the lines under the finger would miss what it was meant for
      onFocus={(e) => e.target.matches(':focus-visible') && onCurrent()}
      onClick={onCurrent}
    >
      {chosen === null ? (
        <Section
          rings={s.rings}
          season={seasonYear(today)}
          containerId={s.cohortContainer}
          target={s.goalCaliper}
          size={40}
        />
      ) : (
        <label className="grid size-11 place-items-center">
          <input
            type="checkbox"
            className="checkbox checkbox-primary size-7"
            checked={chosen}
            aria-label={`Choose ${s.code}, ${s.title}`}
            onChange={(e) => onChoose(e.target.checked)}
          />
        </label>
      )}
      <div className="min-w-0">
        <h3 className="truncate text-[1.02rem] max-lg:whitespace-normal">{s.title}</h3>
        <p className="soft truncate text-[0.94rem] max-lg:whitespace-normal">
          <Link
            to={`/cohorts/${s.cohortId}`}
            className="font-bold text-base-content underline decoration-base-300 underline-offset-4"
          >
            {s.code}
          </Link>{' '}
          {taxon(s.taxonId).name}, {countWords(s)}
          {where && `, ${where}`}
          {s.held && <strong className="text-accent"> · held apart</strong>}
          {detailOf(s) && ` · ${detailOf(s)}`}
        </p>
      </div>
      <WindowBar opens={s.opens} closes={s.closes} today={today} />
      <button
        type="button"
        className={`btn no-print min-h-10 px-4 max-lg:hidden ${current && !isUsual(s) ? 'btn-primary' : 'border-base-content/60 bg-transparent'}`}
        onClick={() => act('record')}
      >
        Record
        <span className="sr-only"> {label}</span>
      </button>
      {current && (
        <div className="col-span-full flex flex-col-reverse gap-x-4 gap-y-1.5 pb-1 text-sm lg:flex-row lg:flex-wrap lg:items-center lg:pl-14">
          <Deeds step={s} act={act} />
          <div className="min-w-0">
            <More step={s} today={today} />
          </div>
        </div>
      )}
    </li>
  );
}
