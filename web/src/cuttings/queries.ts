import type { CheckOutcome, CuttingCheck } from '@gonimos/contract/cuttings';
import { call } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useCheck = () =>
  useWrite((c: Unsent<CuttingCheck>, id) => call<CheckOutcome>('POST', '/checks', { ...c, id }));
