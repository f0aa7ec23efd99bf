import { Link } from 'react-router';
import { addDays } from '@gonimos/core/calendar';
import { workOf } from '@gonimos/core/operations';
import { caliperBefore } from '@gonimos/core/trunk';
import { useCohort } from '../cohorts/queries';
import { seasonYear } from '../common/dates';
import { Trouble } from '../common/field';
import { length } from '../common/units';
import { usePutOff } from './queries';

/** A season on, whatever the window of this one. */
const A_SEASON = 200;

interface Props {
  cohortId: string;
  stepKey: string;
  operation: string;
  today: string;
  onClose: () => void;
}

/** Before the training pot stops a trunk that is thinner than was aimed at: go on growing, or change the aim? */
export function Aim({ cohortId, stepKey, operation: id, today, onClose }: Props) {
  const cohort = useCohort(cohortId).data;
  const putOff = usePutOff();
  const goal = cohort?.goalCaliper ?? null;
  if (workOf(id) !== 'training-pot' || !cohort || goal === null) return null;
  const caliper = caliperBefore(cohort.rings, seasonYear(today));
  if (caliper <= 0 || caliper >= goal) return null;
  const has = `${length(caliper)} of the ${length(goal)} aimed at`;
  return (
    <section className="grid gap-2 border-l-4 border-accent bg-[var(--due)] px-4 py-3">
      <p>
        <strong>{has}.</strong> A training pot all but stops the trunk. Go on growing, or change the aim?
      </p>
      {putOff.error && <Trouble>{putOff.error.message}</Trouble>}
      <span className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-outline"
          disabled={putOff.isPending}
          onClick={() =>
            putOff.mutate(
              { cohortId, stepKey, until: addDays(today, A_SEASON), reason: `grows on: ${has}` },
              { onSuccess: onClose },
            )
          }
        >
          Another season of growth
        </button>
        <Link className="btn btn-outline" to={`/cohorts/${cohortId}?aim`} onClick={onClose}>
          Change the aim
        </Link>
      </span>
    </section>
  );
}
