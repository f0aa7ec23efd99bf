import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { operation } from '@gonimos/core/operations';
import { CheckSheet } from '../cuttings/check-sheet';
import type { Recordable } from '../records/asks';
import { RecordSheet } from '../records/record-sheet';
import { useTrays } from '../trays/queries';

interface Props {
  step: Recordable;
  today: string;
  onClose: () => void;
}

/** Emergence of seed that all lies in mapped trays is counted in their cells, and nowhere else. */
function Emergence(p: Props) {
  const { cohortId } = p.step;
  const { data, error } = useTrays(cohortId, true);
  const go = useNavigate();
  const allMapped = data !== undefined && data.trays.length > 0 && data.outside.seed <= 0;
  const { onClose } = p;
  useEffect(() => {
    if (!allMapped) return;
    onClose();
    void go(`/cohorts/${cohortId}/trays`);
  }, [allMapped, cohortId, go, onClose]);
  return (data && !allMapped) || error ? <RecordSheet {...p} /> : null;
}

/**
 * The sheet a step is recorded with: cuttings are checked tray by tray, seed in trays is marked cell by cell, all else
 * is told in one.
 */
export function RecordStep(p: Props) {
  const { stepKey, operation: id } = p.step;
  const asks = stepKey !== null && id !== null ? operation(id).asks : [];
  if (stepKey !== null && asks.includes('rooted')) return <CheckSheet {...p} step={{ ...p.step, stepKey }} />;
  return asks.includes('emergence') ? <Emergence {...p} /> : <RecordSheet {...p} />;
}
