import { operation } from '@gonimos/core/operations';
import { CheckSheet } from '../cuttings/check-sheet';
import type { Recordable } from '../records/asks';
import { RecordSheet } from '../records/record-sheet';

/** The sheet a step is recorded with: cuttings are checked tray by tray, all else is told in one. */
export function RecordStep(p: { step: Recordable; today: string; onClose: () => void }) {
  const { stepKey, operation: id } = p.step;
  const checks = stepKey !== null && id !== null && operation(id).asks.includes('rooted');
  return checks ? <CheckSheet {...p} step={{ ...p.step, stepKey }} /> : <RecordSheet {...p} />;
}
