import { inUnits } from '../common/units';
import { useProposed } from './queries';

/** Said of a cohort whose pot is too large for its roots; else nothing. */
export function Stands({ cohortId }: { cohortId: string }) {
  const now = useProposed(cohortId).data?.now;
  if (!now?.tooLarge) return null;
  return (
    <p className="border-l-4 border-accent pl-3">
      {inUnits(now.tooLarge)}. Water it only when it is dry, or put it back into a smaller one.
    </p>
  );
}
