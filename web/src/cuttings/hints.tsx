import { CUTTING_KINDS } from '@gonimos/core/cuttings';
import { figure } from '../common/units';

/** How the cuttings of a programme are made: length, wood, and what to mind with the knife. */
export function CuttingHints({ programmeId }: { programmeId: string }) {
  const kinds = CUTTING_KINDS.filter((k) => k.programmeId === programmeId);
  if (kinds.length === 0) return null;
  return (
    <div className="rounded-box bg-[var(--slip)] px-4 py-3">
      {kinds.map((k) => (
        <p key={k.id}>
          <strong>{k.name}:</strong> {figure(k.length.value, 'mm')}, {k.wood}. {k.how}
        </p>
      ))}
      <p className="mt-1 text-sm">
        {kinds[0].length.basis}. Clean blades, cut away from the hand; some saps burn the skin: gloves. Local
        rules come first.
      </p>
    </div>
  );
}
