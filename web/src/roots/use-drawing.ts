import { useReducer } from 'react';
import type { RootBench, RootRecordRow } from '@gonimos/contract/root-records';
import { useDrawn, useFirst } from '../drawings/use-drawn';
import { NOTHING_DECIDED } from '@gonimos/contract/roots-decided';
import { draw, drawingOf, emptyRecord, type Sheet } from './drawing';

/** The drawing in hand: a kept one, a new one that goes on from the last, or what was not kept before a reload. */
export function useDrawing(cohortId: string, bench: RootBench, trunk: number) {
  const key = `roots ${cohortId}`;
  const first = useFirst(key, bench.records, (): Sheet => ({
    record: emptyRecord(trunk),
    decided: NOTHING_DECIDED,
  }));
  const [drawing, act] = useReducer(draw, first.sheet, drawingOf);
  const drawn = useDrawn(key, bench.records, first, drawing, drawing.record.roots.length > 0);
  return {
    ...drawn,
    drawing,
    act,
    /** opens a kept drawing */
    open: (r: RootRecordRow) => {
      drawn.take(r);
      act({ do: 'open', sheet: { record: r.record, decided: r.decided } });
    },
    /** a new drawing, going on from the one that is shown: it stands as it stood */
    begin: () => {
      drawn.renew();
      const { container, aside, behind, lean } = drawing.decided;
      const decided = { ...NOTHING_DECIDED, container, aside, behind, lean };
      act({ do: 'open', sheet: { record: drawing.record, decided } });
    },
  };
}
