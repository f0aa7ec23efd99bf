import { measureText, typedLength, unit } from '../common/units';
import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { suits } from '@gonimos/core/programmes';
import { taxon } from '@gonimos/core/taxa';
import { Change } from '../common/change';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from '../records/outcome';
import { useAllProgrammes, useRetarget, useTryRetarget } from './queries';

/** Another programme, a newer version of it, or another goal midway: what changes is shown first. */
export function RetargetSheet({
  cohort,
  today,
  onClose,
}: {
  cohort: Cohort;
  today: string;
  onClose: () => void;
}) {
  const all = useAllProgrammes();
  const [v, set] = useState({
    programmeId: cohort.programmeId,
    goalCaliper: measureText(cohort.goalCaliper),
    goal: cohort.goal,
  });
  const look = useTryRetarget();
  const write = useRetarget();
  const kind = taxon(cohort.taxonId);
  const payload = {
    cohortId: cohort.id,
    programmeId: v.programmeId,
    goal: v.goal,
    goalCaliper: typedLength(v.goalCaliper) ?? null,
  };
  const change = (name: keyof typeof v) => (e: { target: { value: string } }) => {
    set({ ...v, [name]: e.target.value });
    look.reset();
  };
  const answer = look.data;
  if (write.data)
    return (
      <Sheet title="Carried over" sub={cohort.code} onClose={onClose}>
        <Outcome
          result={write.data}
          today={today}
          wayBack={`To go back, carry it over to ‘${answer?.from.name}’ again.`}
          onClose={onClose}
        />
      </Sheet>
    );
  return (
    <Sheet
      title="Another aim"
      sub={`${cohort.code} follows ‘${cohort.programmeName}’, version ${cohort.programmeVersion}`}
      onClose={onClose}
    >
      <div className="grid gap-5">
        <Field label="Programme" hint="what was done stays done under its like; the rest is planned anew">
          <select className="select" value={v.programmeId} onChange={change('programmeId')}>
            {all
              .filter((p) => p.id === cohort.programmeId || suits(p.id, kind, p.own))
              .map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                  {p.id === cohort.programmeId && cohort.newerVersion
                    ? `, version ${cohort.newerVersion}`
                    : ''}
                </option>
              ))}
          </select>
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Goal caliper" hint={unit('length')}>
            <input
              className="input"
              inputMode="decimal"
              value={v.goalCaliper}
              onChange={change('goalCaliper')}
            />
          </Field>
          <Field label="Goal">
            <input className="input" value={v.goal} onChange={change('goal')} />
          </Field>
        </div>
        {(look.error ?? write.error) && <Trouble>{(write.error ?? look.error)!.message}</Trouble>}
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-outline btn-tall"
            disabled={look.isPending}
            onClick={() => look.mutate(payload)}
          >
            {look.isPending ? 'Planning both ways …' : 'What would change'}
          </button>
          {answer && (
            <button
              type="button"
              className="btn btn-primary btn-tall"
              disabled={write.isPending}
              onClick={() => write.mutate(payload)}
            >
              Carry it over
            </button>
          )}
        </div>
        {answer && (
          <section className="grid gap-3" aria-live="polite">
            <p>
              From ‘{answer.from.name}’ {answer.from.version} to ‘{answer.to.name}’ {answer.to.version}.{' '}
              {plural(answer.kept.length, 'step')} done count there too.
            </p>
            {answer.leftOut.length > 0 && (
              <p>
                <strong>Passed over:</strong> {answer.leftOut.join(', ')}
              </p>
            )}
            <Change change={answer.change} today={today} />
          </section>
        )}
      </div>
    </Sheet>
  );
}
