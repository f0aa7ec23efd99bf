import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { MissedAnswer } from '@gonimos/contract/missed';
import type { MissedStep } from '@gonimos/contract/round';
import { mustBeTold, operation } from '@gonimos/core/operations';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { useMay } from '../people/session';
import { DoneOn } from './done-on';
import { useAnswerMissed } from './queries';

const idOf = (m: MissedStep) => m.cohortId + m.key;
/** Whether it can be said to be done with nothing else to tell. */
const mayBeDone = (m: MissedStep) => !mustBeTold(operation(m.operation));

/** What a missed step may have done meanwhile. */
const HARM = {
  bites: 'may bite since',
  frost: 'in the cold since',
  life: 'not looked at since',
  guard: 'unguarded since',
  wound: 'not seen to since',
};
function harmOf(m: MissedStep, today: string): string {
  const { risk } = operation(m.operation);
  return `${risk ? HARM[risk] : 'was to be done by'} ${shortDate(m.missed.closes, today)}`;
}

const ACT = 'btn btn-sm min-h-11 lg:min-h-8 border-accent bg-transparent text-accent px-2.5';

interface LineProps {
  step: MissedStep;
  today: string;
  chosen: boolean | null;
  choose: (on: boolean) => void;
  open: (what: 'record' | 'done on' | 'why') => void;
  answer: (a: MissedAnswer) => void;
}

/** One missed step: what it is, what it may do, and what can be said of it. */
function Line({ step: m, today, chosen, choose, open, answer }: LineProps) {
  const may = useMay('grower');
  const label = `${m.title}, ${m.code}`;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
      {chosen !== null && (
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          aria-label={`Choose ${label}`}
          checked={chosen}
          onChange={(e) => choose(e.target.checked)}
        />
      )}
      <span className="min-w-0 grow basis-56">
        <strong>{m.title}</strong>{' '}
        <Link to={`/cohorts/${m.cohortId}`} className="font-bold underline underline-offset-4">
          {m.code}
        </Link>{' '}
        <span className="text-accent">{harmOf(m, today)}</span>
        {m.next && <span className="soft"> · next {shortDate(m.next.opens, today)}</span>}
      </span>
      <span className="no-print flex flex-wrap gap-1.5">
        <button type="button" className={ACT} onClick={() => open('record')}>
          Do it now<span className="sr-only">: {label}</span>
        </button>
        {may && (
          <>
            {mayBeDone(m) && (
              <button type="button" className={ACT} onClick={() => open('done on')}>
                Done on …<span className="sr-only"> {label}</span>
              </button>
            )}
            {m.next && (
              <button type="button" className={ACT} onClick={() => answer('next time')}>
                Next time<span className="sr-only">: {label}</span>
              </button>
            )}
            <button type="button" className={ACT} onClick={() => answer('let go')}>
              Let go<span className="sr-only">: {label}</span>
            </button>
          </>
        )}
      </span>
    </li>
  );
}

interface Props {
  steps: readonly MissedStep[];
  /** how many there are in all */
  inAll: number;
  today: string;
  /** how many are shown before the rest is asked for */
  first?: number;
  onRecord: (m: MissedStep) => void;
}

/** What was missed, what harms most first, until something is said of each: one by one or many at once. */
export function MissedList({ steps, inAll, today, first = 1, onRecord }: Props) {
  const answer = useAnswerMissed();
  const may = useMay('grower');
  const [all, setAll] = useState(false);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [doneOn, setDoneOn] = useState<readonly MissedStep[] | null>(null);
  if (steps.length === 0) return null;
  const whole = all || steps.length <= first;
  const shown = whole ? steps : steps.slice(0, first);
  // one alone needs no choosing
  const choosing = whole && may && steps.length > 1;
  const picked = steps.filter((m) => chosen.has(idOf(m)));
  const say = (what: MissedAnswer, which: readonly MissedStep[], on: string | null = null) =>
    answer.mutate(
      { answer: what, on, steps: which.map((m) => ({ cohortId: m.cohortId, stepKey: m.key })) },
      {
        onSuccess: () => {
          setChosen(new Set());
          setDoneOn(null);
        },
      },
    );
  const choose = (m: MissedStep, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(idOf(m));
    else next.delete(idOf(m));
    setChosen(next);
  };
  const later = picked.length > 0 && picked.every((m) => m.next !== null);
  return (
    <section className="mb-2 border-l-4 border-accent bg-[var(--due)] px-3 py-0.5" aria-label="Missed">
      <h2 className="text-base">
        <button
          type="button"
          className="flex min-h-11 w-full items-center gap-2 text-left lg:min-h-9"
          aria-expanded={all}
          disabled={steps.length <= first}
          onClick={() => setAll(!all)}
        >
          <TriangleAlert size={18} className="shrink-0" aria-hidden="true" /> {inAll} missed
          {steps.length > first && (
            <span className="ml-auto font-sans text-sm font-semibold underline underline-offset-4 max-lg:no-underline">
              {all ? 'fold' : 'go through them'}
            </span>
          )}
        </button>
      </h2>
      {answer.error && <Trouble>{answer.error.message}</Trouble>}
      <ul className={`divide-y divide-accent/20 ${whole ? '' : 'max-lg:hidden'}`}>
        {shown.map((m) => (
          <Line
            key={idOf(m)}
            step={m}
            today={today}
            chosen={choosing ? chosen.has(idOf(m)) : null}
            choose={(on) => choose(m, on)}
            open={(what) => (what === 'record' ? onRecord(m) : setDoneOn([m]))}
            answer={(a) => say(a, [m])}
          />
        ))}
      </ul>
      {choosing && (
        <p className="no-print flex flex-wrap items-center gap-2 py-2">
          <button
            type="button"
            className={ACT}
            onClick={() => setChosen(new Set(picked.length === steps.length ? [] : steps.map(idOf)))}
          >
            {picked.length === steps.length ? 'Choose none' : 'Choose all'}
          </button>
          {picked.length > 0 && (
            <>
              <span>{plural(picked.length, 'step')}:</span>
              {picked.every(mayBeDone) && (
                <button type="button" className={ACT} onClick={() => setDoneOn(picked)}>
                  All done on …
                </button>
              )}
              {later && (
                <button type="button" className={ACT} onClick={() => say('next time', picked)}>
                  All next time
                </button>
              )}
              <button type="button" className={ACT} onClick={() => say('let go', picked)}>
                Let all go
              </button>
            </>
          )}
        </p>
      )}
      {doneOn && (
        <DoneOn
          steps={doneOn}
          today={today}
          busy={answer.isPending}
          fault={answer.faults.on ?? answer.error?.message}
          onSay={(on) => say('done', doneOn, on)}
          onClose={() => setDoneOn(null)}
        />
      )}
    </section>
  );
}
