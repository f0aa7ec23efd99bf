import type { StemBench } from '@gonimos/contract/stem-records';
import { addDays } from '@gonimos/core/calendar';
import { operation } from '@gonimos/core/operations';
import { workOnStem } from '@gonimos/core/stem';
import type { Put, Recordable } from '../records/asks';
import type { Sheet } from './sheet';
import type { useBands, useWires } from './use-wires';

/** Work that was decided at the bench. */
export interface Recording {
  stepKey: string;
  told: NonNullable<Recordable['stem']>;
  /** wires and bands that go on with it */
  puts: readonly Put[];
}

/** What the next work of the course takes by what is drawn, and leaves. */
function workOn({ step, start }: StemBench, { record, decided }: Sheet) {
  const op = operation(step!.operation);
  const { finished, cutAt } = decided;
  const deed = {
    takes: op.topLoss.value > 0,
    cuts: op.oldWood === true,
    chooses: op.asks.includes('sprouts'),
  };
  return workOnStem(record, { finished, cutAt }, deed, start);
}

type Wired = ReturnType<typeof useWires>;
type Banded = ReturnType<typeof useBands>;

/** Most that a note in the register holds. */
const NOTE = 80;

/** Wires and bands as they go into the register: each with what it sits on and the day it bites. */
export const putsOf = ({ laid, bites, stretches }: Wired, bands: Banded): Put[] => [
  ...laid.flatMap((l, i) => {
    const { of, share } = stretches[i];
    const note = `${l.gauge} mm ${l.wire.metal}, ${l.words}`.slice(0, NOTE);
    return bites[i] ? [{ what: 'wire' as const, note, due: bites[i].due, stretch: { of, share } }] : [];
  }),
  ...bands.flatMap(({ band, gauge, words, bite, asked: { of, share } }) => {
    const note = `${gauge} mm ${band.metal}, ${words}`.slice(0, NOTE);
    return bite ? [{ what: band.what, note, due: bite.due, stretch: { of, share } }] : [];
  }),
];

/** So many days are a season, for when what is left can be done: the window of the step settles the day itself. */
const SEASON = 365;
/** Later than this nobody knows. */
const SEASONS_MOST = 6;

/** The work that the course has next, filled by what was decided. */
export function recordingOf(
  bench: StemBench,
  drawing: Sheet,
  drawnId: string,
  puts: Put[],
  today: string,
): Recording {
  const { seasons, ...told } = workOn(bench, drawing);
  // a season from now the same window is open again, or about to be
  const until = seasons === null ? null : addDays(today, Math.min(SEASONS_MOST, seasons) * SEASON - 30);
  return { stepKey: bench.step!.key, told: { drawnId, ...told, until }, puts };
}
