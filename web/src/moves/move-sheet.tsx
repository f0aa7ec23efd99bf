import { DayInput } from '../common/day-input';
import { RULE_WORDS } from '@gonimos/core/course';
import { useEffect, useState } from 'react';
import { Change } from '../common/change';
import { readable, shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from '../records/outcome';
import { useMove, useTryMove } from './queries';

interface Props {
  cohortId: string;
  code: string;
  step: { key: string; title: string; opens: string | null; closes: string | null };
  to: string;
  today: string;
  onClose: () => void;
}

/** A step set to another day: what would move with it, or the rule that refuses, to be overridden with a reason. */
export function MoveSheet({ cohortId, code, step, to, today, onClose }: Props) {
  const [day, setDay] = useState(to);
  const [reason, setReason] = useState('');
  const ask = useTryMove();
  const move = useMove();
  const { mutate } = ask;
  useEffect(() => {
    if (day) mutate({ cohortId, stepKey: step.key, to: day });
  }, [cohortId, step.key, day, mutate]);
  const refused = ask.data?.refused ?? null;
  if (move.data)
    return (
      <Sheet title={step.title} sub={code} onClose={onClose}>
        <Outcome result={move.data} today={today} onClose={onClose} />
      </Sheet>
    );
  return (
    <Sheet title="Set to a day" sub={`${code} · ${step.title}`} onClose={onClose}>
      <div className="grid gap-5">
        <Field
          label="Day"
          hint={
            step.opens && step.closes
              ? `the window is ${shortDate(step.opens, today)} to ${shortDate(step.closes, today)}`
              : undefined
          }
        >
          <DayInput min={today} value={day} onChange={(day) => setDay(day)} />
        </Field>
        {(ask.error ?? move.error) && <Trouble>{(move.error ?? ask.error)!.message}</Trouble>}
        {refused && (
          <div role="alert" className="grid gap-3 rounded-box border-2 border-accent p-4">
            <p className="font-semibold text-accent">Refused by the rule: {RULE_WORDS[refused.rule].words}</p>
            <p>{readable(refused.text, today)}</p>
            <Field label="Set it anyway, because" hint="kept with the step and shown wherever it stands">
              <input className="input" value={reason} onChange={(e) => setReason(e.target.value)} />
            </Field>
          </div>
        )}
        {ask.data?.change && (
          <section>
            <h3 className="mb-1 text-lg">{refused ? 'If it were set anyway' : 'What moves with it'}</h3>
            <Change change={ask.data.change} today={today} most={6} />
          </section>
        )}
        <button
          type="button"
          className="btn btn-primary btn-tall"
          disabled={
            ask.isPending || move.isPending || !ask.data || (refused !== null && reason.trim() === '')
          }
          onClick={() =>
            move.mutate({
              cohortId,
              stepKey: step.key,
              to: day,
              reason,
              override: refused ? 'yes' : 'no',
            })
          }
        >
          {ask.isPending
            ? 'Asking the rules …'
            : refused
              ? `Set to ${shortDate(day, today)} against the rule`
              : `Set to ${shortDate(day, today)}`}
        </button>
      </div>
    </Sheet>
  );
}
