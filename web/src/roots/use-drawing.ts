import { hashKey } from '@tanstack/react-query';
import { useEffect, useReducer, useState } from 'react';
import type { RootBench, RootRecordRow } from '@gonimos/contract/root-records';
import { draw, drawingOf, emptyRecord, NOTHING_DECIDED, type Sheet } from './drawing';
import { dropDraft, readDraft } from '../common/draft';

interface Draft {
  /** the kept drawing it goes on from; '' for a new one */
  of: string;
  label: string;
  sheet: Sheet;
}

const sheetOf = (row: RootRecordRow): Sheet => ({ record: row.record, decided: row.decided });
/** The same whatever order fields came back in from where they are kept. */
const same = (a: Sheet, b: Sheet) => hashKey([a]) === hashKey([b]);

/** The drawing in hand: a kept one, a new one that goes on from the last, or what was not kept before a reload. */
export function useDrawing(cohortId: string, bench: RootBench, trunk: number) {
  const key = `roots ${cohortId}`;
  const last = bench.records.at(-1);
  const [first] = useState((): Draft => {
    const draft = readDraft<Draft>(key);
    const known = draft.of === '' || bench.records.some((r) => r.id === draft.of);
    if (draft.sheet && known) return { of: draft.of!, label: draft.label ?? '', sheet: draft.sheet };
    return last
      ? { of: last.id, label: last.label, sheet: sheetOf(last) }
      : { of: '', label: '', sheet: { record: emptyRecord(trunk), decided: NOTHING_DECIDED } };
  });
  const [of, setOf] = useState(first.of);
  const [label, setLabel] = useState(first.label);
  const [drawing, act] = useReducer(draw, first.sheet, drawingOf);
  const row = bench.records.find((r) => r.id === of) ?? null;
  const now: Sheet = { record: drawing.record, decided: drawing.decided };
  const unkept = row ? !same(now, sheetOf(row)) || label !== row.label : drawing.record.roots.length > 0;
  const text = JSON.stringify({ of, label, sheet: now } satisfies Draft);
  useEffect(() => {
    if (unkept) window.sessionStorage.setItem(`draft ${key}`, text);
    else dropDraft(key);
  }, [key, text, unkept]);
  return {
    drawing,
    act,
    row,
    label,
    setLabel,
    unkept,
    /** opens a kept drawing */
    open: (r: RootRecordRow) => {
      setOf(r.id);
      setLabel(r.label);
      act({ do: 'open', sheet: sheetOf(r) });
    },
    /** what was kept just now under an id */
    kept: (id: string) => setOf(id),
    /** a new drawing, going on from the one that is shown */
    begin: () => {
      setOf('');
      act({ do: 'open', sheet: { record: drawing.record, decided: NOTHING_DECIDED } });
    },
  };
}
