import { hashKey } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { dropDraft, readDraft } from '../common/draft';

/** What lies on a bench: what was seen, and what was decided about it. */
export interface Sheet<R, D> {
  record: R;
  decided: D;
}

/** A kept drawing. */
export interface Row<R, D> extends Sheet<R, D> {
  id: string;
  label: string;
  on: string;
  note: string;
  version: number;
  by: string;
}

interface Draft<R, D> {
  /** the kept drawing it goes on from; '' for a new one */
  of: string;
  label: string;
  sheet: Sheet<R, D>;
}

/** What is drawn first: what was not kept before a reload, else the last kept drawing, else an empty one. */
export function useFirst<R, D>(
  key: string,
  rows: readonly Row<R, D>[],
  empty: () => Sheet<R, D>,
): Draft<R, D> {
  const [first] = useState((): Draft<R, D> => {
    const draft = readDraft<Draft<R, D>>(key);
    const known = draft.of === '' || rows.some((r) => r.id === draft.of);
    if (draft.sheet && known) return { of: draft.of!, label: draft.label ?? '', sheet: draft.sheet };
    const last = rows.at(-1);
    return last
      ? { of: last.id, label: last.label, sheet: { record: last.record, decided: last.decided } }
      : { of: '', label: '', sheet: empty() };
  });
  return first;
}

/** The same whatever order fields came back in from where they are kept. */
const same = <R, D>(a: Sheet<R, D>, b: Sheet<R, D>) =>
  hashKey([a.record, a.decided]) === hashKey([b.record, b.decided]);

/** Which kept drawing is in hand, and whether what is drawn is kept; what is not outlives a reload. */
export function useDrawn<R, D>(
  key: string,
  rows: readonly Row<R, D>[],
  first: Draft<R, D>,
  now: Sheet<R, D>,
  begun: boolean,
) {
  const [of, setOf] = useState(first.of);
  const [label, setLabel] = useState(first.label);
  const row = rows.find((r) => r.id === of) ?? null;
  const unkept = row ? !same(now, row) || label !== row.label : begun;
  const sheet = { record: now.record, decided: now.decided };
  const text = JSON.stringify({ of, label, sheet } satisfies Draft<R, D>);
  useEffect(() => {
    if (unkept) window.sessionStorage.setItem(`draft ${key}`, text);
    else dropDraft(key);
  }, [key, text, unkept]);
  return {
    row,
    label,
    setLabel,
    unkept,
    /** a kept drawing is in hand */
    take: (r: Row<R, D>) => {
      setOf(r.id);
      setLabel(r.label);
    },
    /** what was kept just now under an id */
    kept: (id: string) => setOf(id),
    /** a new drawing */
    renew: () => setOf(''),
  };
}
