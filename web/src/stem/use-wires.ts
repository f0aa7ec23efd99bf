import { useMemo } from 'react';
import type { BiteOfStretch } from '@gonimos/contract/fittings';
import {
  layBand,
  layWire,
  type StemBand,
  type StemRecord,
  type StemWire,
  type WireLaid,
} from '@gonimos/core/stem';
import { useBites } from '../fittings/queries';

/** When wires bite, in their order; shorter while it is not known. */
export type Bites = readonly BiteOfStretch[];

/** The same each time: what is drawn is compared by it. */
const NOT_TOLD: Bites = [];

/** A share that is told in whole thousandths: drawing on does not ask anew for what rounds away. */
const thousandths = (x: number): number => Math.max(0.001, Math.round(x * 1000) / 1000);

const stretches = (laid: readonly WireLaid[]) =>
  laid.map((l) => ({
    id: l.wire.part ?? 'stem',
    of: thousandths(l.stretch.of),
    share: thousandths(l.stretch.share),
  }));

/** The wires of a stem as they are laid, and the day each bites. */
export function useWires(cohortId: string, record: StemRecord, wires: readonly StemWire[]) {
  const laid = useMemo(() => wires.flatMap((w) => layWire(record, w) ?? []), [record, wires]);
  const asked = useMemo(() => stretches(laid), [laid]);
  const told = useBites(cohortId, asked).data ?? NOT_TOLD;
  return useMemo(() => {
    const bites = asked.flatMap((a) => told.find((b) => b.id === a.id) ?? []);
    return { laid, bites: bites.length === laid.length ? bites : NOT_TOLD, stretches: asked };
  }, [laid, asked, told]);
}

/** What goes around the base of a stem as it is laid, and the day each bites. */
export function useBands(cohortId: string, record: StemRecord, bands: readonly StemBand[]) {
  const laid = useMemo(() => bands.map((b) => layBand(record, b)), [record, bands]);
  const asked = useMemo(
    () =>
      laid.map(({ band, stretch }) => ({
        id: band.what,
        of: thousandths(Math.min(1, stretch.of)),
        share: thousandths(stretch.share),
      })),
    [laid],
  );
  const told = useBites(cohortId, asked).data ?? NOT_TOLD;
  return useMemo(
    () => laid.map((l, i) => ({ ...l, asked: asked[i], bite: told.find((b) => b.id === l.band.what) })),
    [laid, asked, told],
  );
}
