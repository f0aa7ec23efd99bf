import type { LabStart } from '@gonimos/core/lab';
import { FREE_RING, taxon, toleranceOf } from '@gonimos/core/taxa';

/** A plant of a kind in a litre of room, as a course of the lab begins with it. */
export function plantOf(taxonId: string, more: Partial<LabStart> = {}): LabStart {
  const kind = taxon(taxonId);
  return {
    year: 2037,
    ring: FREE_RING[kind.pace].value,
    tolerance: toleranceOf(kind),
    vigour: 4,
    caliper: 8,
    height: null,
    litres: 1,
    wall: 'smooth',
    ...more,
  };
}
