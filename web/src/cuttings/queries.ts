import type { CheckOutcome, CuttingCheck } from '@gonimos/contract/cuttings';
import { call } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const useCheck = () => useUpheaval((c: CuttingCheck) => call<CheckOutcome>('POST', '/checks', c));
