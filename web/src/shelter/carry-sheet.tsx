import { DayInput } from '../common/day-input';
import { useState } from 'react';
import { addDays } from '@gonimos/core/calendar';
import type { Warning } from '@gonimos/core/station';
import { useRegister } from '../cohorts/queries';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { countWords } from '../common/words';
import { useCarryIn } from './queries';

/** Which of them were brought in, and until when. */
export function CarrySheet({
  warning,
  today,
  onClose,
}: {
  warning: Warning;
  today: string;
  onClose: () => void;
}) {
  const carry = useCarryIn();
  const cohorts = useRegister().data;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(warning.cohortIds));
  const [until, setUntil] = useState(addDays(today, 2));
  const flip = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <Sheet title="Brought in" sub={warning.text} onClose={onClose}>
      <form
        className="grid gap-5"
        onSubmit={(e) => {
          e.preventDefault();
          carry.mutate({ cohortIds: [...chosen], until }, { onSuccess: onClose });
        }}
      >
        {carry.error && !carry.faults.until && <Trouble>{carry.error.message}</Trouble>}
        <fieldset className="grid gap-1">
          <legend className="mb-1 font-semibold">Which of them</legend>
          {(cohorts ?? [])
            .filter((c) => warning.cohortIds.includes(c.id))
            .map((c) => (
              <label key={c.id} className="flex min-h-12 items-center gap-3">
                <input
                  type="checkbox"
                  className="checkbox"
                  checked={chosen.has(c.id)}
                  onChange={() => flip(c.id)}
                />
                <span>
                  <strong>{c.code}</strong>, {countWords(c)}
                </span>
              </label>
            ))}
        </fieldset>
        <Field label="Out again on" error={carry.faults.until}>
          <DayInput min={addDays(today, 1)} value={until} onChange={(day) => setUntil(day)} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={carry.isPending || chosen.size === 0}>
          Brought in
        </button>
      </form>
    </Sheet>
  );
}
