import { Link } from 'react-router';
import { workOn } from '@gonimos/contract/records';
import { useCohort, useSplit } from '../cohorts/queries';
import { newId } from '../common/api';
import { Trouble } from '../common/field';
import type { Recordable } from './asks';
import { useRecordWork } from './queries';

interface Props {
  step: Recordable;
  /** plants the step is still to be done on */
  rest: number;
  today: string;
}

/** What is left of a batch becomes a cohort of its own, at the step it stands at; the step of the others is finished. */
export function SplitRest({ step, rest, today }: Props) {
  const cohort = useCohort(step.cohortId).data;
  const split = useSplit(step.cohortId);
  const finish = useRecordWork();
  if (!cohort || step.stepKey === null) return null;
  const newCode = `${step.code}R`;
  const potting = step.container ? { potting: { container: step.container } } : {};
  const go = () => {
    const id = newId();
    split.mutate(
      {
        newId: id,
        newCode,
        placeId: cohort.placeId,
        count: rest,
        note: `Left of ${step.code}: ${step.title}`,
      },
      {
        onSuccess: () => {
          const { id: _, ...done } = workOn({
            id: '',
            cohortId: step.cohortId,
            stepKey: step.stepKey,
            on: today,
            details: potting,
          });
          finish.mutate({ ...done, done: 0 });
        },
      },
    );
  };
  const trouble = split.error ?? finish.error;
  return (
    <section className="border-l-4 border-info bg-[var(--cold)] px-4 py-3">
      <p>
        <strong>{rest} are left</strong> for another day: the step stays open for them.
      </p>
      {trouble && <Trouble>{trouble.message}</Trouble>}
      {split.isSuccess ? (
        <p>
          They are{' '}
          <Link to={`/cohorts?q=${newCode}`} className="font-bold underline">
            {newCode}
          </Link>{' '}
          now.
        </p>
      ) : (
        <button
          type="button"
          className="btn btn-outline mt-2"
          disabled={split.isPending || finish.isPending}
          onClick={go}
        >
          Make them a cohort of their own, {newCode}
        </button>
      )}
    </section>
  );
}
