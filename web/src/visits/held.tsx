import { shortDate } from '../common/dates';
import { useMay } from '../people/session';
import { useRelease } from './queries';

interface Props {
  held: { since: string; found: string };
  cohortId: string;
  today: string;
}

/** Held apart: since when, for what, and the word that ends it. */
export function Held({ held, cohortId, today }: Props) {
  const release = useRelease();
  const may = useMay('grower');
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <p>
        <strong className="text-accent">In quarantine</strong> since {shortDate(held.since, today)}:{' '}
        {held.found}. Nothing moves until it is released.
      </p>
      {may && (
        <button
          type="button"
          className="btn btn-outline btn-sm min-h-11 lg:min-h-8"
          disabled={release.isPending}
          onClick={() => release.mutate({ cohortId, note: '' })}
        >
          Release
        </button>
      )}
      {release.error && <p className="font-semibold text-error">{release.error.message}</p>}
    </div>
  );
}
