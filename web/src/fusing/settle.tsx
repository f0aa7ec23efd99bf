import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { GroupTold } from '@gonimos/contract/fusing';
import { workOn } from '@gonimos/contract/records';
import { operation } from '@gonimos/core/operations';
import { plural } from '@gonimos/core/words';
import { Field, Trouble } from '../common/field';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import type { Recordable } from '../records/asks';
import { useRecordWork } from '../records/queries';
import { RecordSheet } from '../records/record-sheet';

interface Props {
  cohort: Cohort;
  stems: number;
  setting: () => GroupTold;
  /** a thin stem is joined to a tree */
  joins: boolean;
  today: string;
}

/** The step of the course that sets stems together so, where it is open. */
function useJoinStep(cohort: Cohort, joins: boolean) {
  const wanted = joins ? 'thin stem' : 'stems';
  return useCourse(cohort.id).data?.steps.find(
    (s) => s.status === 'planned' && s.ready && operation(s.operation).joins === wanted,
  );
}

/** Settles it: with the step of the course where one is open, else by itself. */
export function Settle({ cohort, stems, setting, joins, today }: Props) {
  const step = useJoinStep(cohort, joins);
  const set = useRecordWork();
  const [note, setNote] = useState('');
  const [sheet, setSheet] = useState<Recordable | null>(null);
  const words = joins ? 'the thin stem is part of the tree' : `${plural(stems, 'stem')} become one plant`;
  const alone = () => {
    const { id: _, ...record } = workOn({
      id: '',
      cohortId: cohort.id,
      stepKey: null,
      on: today,
      note,
      details: { group: setting() },
    });
    set.mutate(record);
  };
  return (
    <div className="grid gap-3">
      {set.error && <Trouble>{set.error.message}</Trouble>}
      {step ? (
        <button
          type="button"
          className="btn btn-primary btn-tall w-fit"
          onClick={() => setSheet({ ...recordable(cohort, step), group: setting() })}
        >
          Record ‘{step.title}’: {words}
        </button>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <Field label="Note" className="min-w-48 flex-1">
            <input className="input" maxLength={400} value={note} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <button type="button" className="btn btn-primary btn-tall" disabled={set.isPending} onClick={alone}>
            Set together: {words}
          </button>
        </div>
      )}
      {sheet && <RecordSheet step={sheet} today={today} onClose={() => setSheet(null)} />}
    </div>
  );
}
