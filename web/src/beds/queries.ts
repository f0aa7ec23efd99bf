import { useQuery } from '@tanstack/react-query';
import type { Bed, BedRoom, FullBed, WinterPlan } from '@gonimos/contract/beds';
import type { Outcome } from '@gonimos/contract/outcome';
import { call, getHeld } from '../common/api';
import { offerUndo } from '../common/undo';
import { useWrite } from '../common/write';

export const useBeds = () => useQuery({ queryKey: ['beds'], queryFn: () => getHeld<Bed[]>('/beds') });

/** Every place with its room and what stands there. */
export const useRoom = () =>
  useQuery({ queryKey: ['room'], queryFn: () => getHeld<BedRoom[]>('/beds/room') });

/** Places that will be too full; asked by itself, so that the round does not wait for it. */
export const useFull = () =>
  useQuery({ queryKey: ['room', 'full'], queryFn: () => getHeld<FullBed[]>('/beds/full') });

/** What goes where before the cold. */
export const useWinter = () =>
  useQuery({ queryKey: ['room', 'winter'], queryFn: () => getHeld<WinterPlan>('/beds/winter') });

/** A whole cohort goes to another place; the rule of exposure may refuse it. */
export const useMoveCohort = () =>
  useWrite(async (m: { cohortId: string; placeId: string; on: string; meant: boolean }, id) => {
    const { placeId, ...rest } = m;
    const record = { id, ...rest, stepKey: null, details: { standing: { placeId } } };
    const outcome = await call<Outcome>('POST', '/records', record);
    offerUndo(outcome.recordId, 'Moved.', outcome.moved.length);
    return outcome;
  });
