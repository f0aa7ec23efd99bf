import type { NewObservation, ObservationOutcome } from '@gonimos/contract/observations';
import { call, newId } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useObserve = () =>
  useUpheaval((o: NewObservation) => call<ObservationOutcome>('POST', '/observations', o));
export const useWithdraw = () =>
  useUpheaval((id: string) =>
    call<ObservationOutcome>('POST', `/observations/${id}/withdraw`, { id: newId() }),
  );
