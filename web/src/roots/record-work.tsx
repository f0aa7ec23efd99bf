import type { Cohort } from '@gonimos/contract/cohorts';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import type { Put, Recordable } from '../records/asks';
import { RecordSheet } from '../records/record-sheet';

/** Work that was decided at the bench. */
export interface Working {
  stepKey: string;
  told: NonNullable<Recordable['roots']>;
  /** what stays on the roots */
  puts: readonly Put[];
}

/** The sheet for the step the roots were drawn for, filled by the plan. */
export function RecordWork({
  cohort,
  work,
  today,
  onClose,
}: {
  cohort: Cohort;
  work: Working;
  today: string;
  onClose: () => void;
}) {
  const step = useCourse(cohort.id).data?.steps.find((s) => s.key === work.stepKey);
  if (!step) return null;
  return (
    <RecordSheet
      step={{
        ...recordable(cohort, step),
        roots: work.told,
        puts: { title: 'Stays on the roots', lines: work.puts },
        nextTime: '',
      }}
      today={today}
      onClose={onClose}
    />
  );
}
