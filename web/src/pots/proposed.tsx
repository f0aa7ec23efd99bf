import { container } from '@gonimos/core/containers';
import { percent, plural } from '@gonimos/core/words';
import { inUnits } from '../common/units';
import { useProposed } from './queries';

interface Props {
  cohortId: string;
  chosen: string;
  onChoose: (container: string) => void;
}

/** Which containers suit the plants next, and why; a tap takes one. */
export function ProposedPots({ cohortId, chosen, onChoose }: Props) {
  const { data } = useProposed(cohortId);
  if (!data || data.pots.length === 0) return null;
  return (
    <div role="group" aria-label="What suits them next" className="grid gap-1">
      <span className="soft text-sm">By how their roots grow and what stays wet:</span>
      <div className="flex flex-wrap gap-2">
        {data.pots.map((p) => (
          <button
            key={p.container}
            type="button"
            aria-pressed={p.container === chosen}
            className={`btn btn-sm min-h-11 ${p.container === chosen ? 'btn-primary' : 'btn-outline'}`}
            title={p.reasons.map(inUnits).join('; ')}
            onClick={() => onChoose(p.container)}
          >
            {container(p.container).name}
            <span className="font-normal">
              {p.years === null ? 'roomy for years' : `full in ${plural(p.years, 'season')}`}
            </span>
          </button>
        ))}
      </div>
      {data.down && data.down.moves.length > 1 && (
        <span className="soft text-sm">
          Down to {container(data.down.target).name} in stages:{' '}
          {data.down.moves
            .map((m) => `${container(m.container).name} (${percent(m.takes)} of the ball)`)
            .join(', then ')}
          .
        </span>
      )}
    </div>
  );
}
