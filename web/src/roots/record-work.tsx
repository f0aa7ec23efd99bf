import type { Cohort } from '@gonimos/contract/cohorts';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import { RecordSheet } from '../records/record-sheet';
import type { Working } from './recording';

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
