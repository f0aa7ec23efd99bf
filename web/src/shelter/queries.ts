import type { CarryIn, CarryOut } from '@gonimos/contract/shelter';
import { plural } from '@gonimos/core/words';
import { call } from '../common/api';
import { offerUndo } from '../common/undo';
import { useWrite, type Unsent } from '../common/write';

interface Carried {
  recordId: string;
}

export const useCarryIn = () =>
  useWrite(async (c: Unsent<CarryIn>, id) => {
    const { recordId } = await call<Carried>('POST', '/shelter/in', { ...c, id });
    offerUndo(recordId, `${plural(c.cohortIds.length, 'cohort')} brought in.`);
  });

export const useCarryOut = () =>
  useWrite(async (c: Unsent<CarryOut>, id) => {
    const { recordId } = await call<Carried>('POST', '/shelter/out', { ...c, id });
    offerUndo(recordId, `${plural(c.cohortIds.length, 'cohort')} out again.`);
  });
