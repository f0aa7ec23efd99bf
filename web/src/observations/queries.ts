import type { NewObservation, ObservationOutcome } from '@gonimos/contract/observations';
import { call } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useObserve = () =>
  useWrite((o: Unsent<NewObservation>, id) =>
    call<ObservationOutcome>('POST', '/observations', { ...o, id }),
  );
export const useWithdraw = () =>
  useWrite((seen: string, id) => call<ObservationOutcome>('POST', `/observations/${seen}/withdraw`, { id }));
