import { DayInput } from '../common/day-input';
import { useState } from 'react';
import type { MissedStep } from '@gonimos/contract/round';
import { plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { Sheet } from '../common/sheet';

interface Props {
  steps: readonly MissedStep[];
  today: string;
  busy: boolean;
  fault: string | undefined;
  onSay: (on: string) => void;
  onClose: () => void;
}

/** It was done and not written down: on which day. */
export function DoneOn({ steps, today, busy, fault, onSay, onClose }: Props) {
  const [on, setOn] = useState(steps.length === 1 ? steps[0].missed.closes : today);
  return (
    <Sheet
      title={steps.length === 1 ? steps[0].title : plural(steps.length, 'missed step')}
      sub={steps.length === 1 ? steps[0].code : [...new Set(steps.map((s) => s.code))].join(', ')}
      onClose={onClose}
    >
      <form
        className="grid gap-5"
        onSubmit={(e) => {
          e.preventDefault();
          onSay(on);
        }}
      >
        <p>
          Done for all plants, with nothing lost. Losses or counts to tell? Use ‘Do it now’ and set the day.
        </p>
        <Field label="Done on" error={fault}>
          <DayInput max={today} value={on} onChange={(day) => setOn(day)} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={busy || on === ''}>
          Record it
        </button>
      </form>
    </Sheet>
  );
}
