import type { Cohort } from '@gonimos/contract/cohorts';
import { taxon } from '@gonimos/core/taxa';
import { useMay } from '../people/session';
import { Trouble } from '../common/field';
import { useSettleKind } from './queries';

/** A cohort that may be one of several kinds: seen in leaf or flower, one tap says which. */
export function SettleKind({ cohort }: { cohort: Cohort }) {
  const settle = useSettleKind(cohort.id);
  const may = useMay('grower');
  if (cohort.maybe.length === 0) return null;
  return (
    <section className="rounded-box bg-[var(--slip)] px-4 py-3" aria-label="Which kind it is">
      <p>
        <strong>One of {cohort.maybe.length + 1} kinds until seen in leaf.</strong> The plan spares what the
        tenderest of them would suffer.
      </p>
      {may && (
        <div className="no-print mt-2 flex flex-wrap gap-2">
          {[cohort.taxonId, ...cohort.maybe].map((id) => (
            <button
              key={id}
              type="button"
              className="btn btn-outline"
              disabled={settle.isPending}
              onClick={() => settle.mutate({ taxonId: id, reason: '' })}
            >
              It is {taxon(id).name}
            </button>
          ))}
        </div>
      )}
      {settle.error && <Trouble>{settle.error.message}</Trouble>}
    </section>
  );
}
