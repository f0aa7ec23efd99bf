import type { Cohort } from '@gonimos/contract/cohorts';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import type { Put, Recordable } from '../records/asks';
import { RecordSheet } from '../records/record-sheet';

interface Props {
  cohort: Cohort;
  stepKey: string;
  told: NonNullable<Recordable['stem']>;
  /** wires that go on with it */
  puts: readonly Put[];
  today: string;
  onClose: () => void;
}

/** The sheet for the step the stem was drawn for, filled by what was decided. */
export function RecordStemWork({ cohort, stepKey, told, puts, today, onClose }: Props) {
  const step = useCourse(cohort.id).data?.steps.find((s) => s.key === stepKey);
  if (!step) return null;
  const filled = {
    ...recordable(cohort, step),
    stem: told,
    puts: { title: 'Wire that goes on', lines: puts },
    nextTime: '',
  };
  return <RecordSheet step={filled} today={today} onClose={onClose} />;
}
