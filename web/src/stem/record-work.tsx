import type { Cohort } from '@gonimos/contract/cohorts';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import { RecordSheet } from '../records/record-sheet';
import type { Recording } from './recording';

interface Props {
  cohort: Cohort;
  work: Recording;
  today: string;
  onClose: () => void;
}

/** The sheet for the step the stem was drawn for, filled by what was decided. */
export function RecordStemWork({ cohort, work, today, onClose }: Props) {
  const step = useCourse(cohort.id).data?.steps.find((s) => s.key === work.stepKey);
  if (!step) return null;
  const filled = {
    ...recordable(cohort, step),
    stem: work.told,
    puts: { title: 'Wire that goes on', lines: work.puts },
    nextTime: '',
  };
  return <RecordSheet step={filled} today={today} onClose={onClose} />;
}
