import { Loading } from '../common/loading';
import { Sheet } from '../common/sheet';
import { useCohort } from '../cohorts/queries';
import { useCourse } from '../course/queries';
import { recordable } from '../course/recordable';
import { RecordStep } from '../course/record-step';

interface Props {
  cohortId: string;
  stepKey: string;
  today: string;
  onClose: () => void;
}

/** The recording sheet of a step, for a page that knows no more of it than its key. */
export function TendSheet({ cohortId, stepKey, today, onClose }: Props) {
  const cohort = useCohort(cohortId);
  const course = useCourse(cohortId);
  const step = course.data?.steps.find((s) => s.key === stepKey);
  if (!cohort.data || !step)
    return (
      <Sheet title="Record" onClose={onClose}>
        <Loading error={cohort.error ?? course.error} />
      </Sheet>
    );
  return <RecordStep step={recordable(cohort.data, step)} today={today} onClose={onClose} />;
}
