import { useMemo, useState } from 'react';
import type { RootBench } from '@gonimos/contract/root-records';
import { UPRIGHT } from '@gonimos/core/stance';
import { Fronts } from '../stem/fronts';
import { stanceOf } from '../stem/stance';
import type { useDrawing } from './use-drawing';

/** Of a plant whose stem nobody drew so much is shown over the roots, in trunks. */
const STUMP = 6;

/** Sides that may be the front, with the stem as it was last drawn; looked for when they are asked for. */
export function OtherFronts({ at, bench }: { at: ReturnType<typeof useDrawing>; bench: RootBench }) {
  const [open, setOpen] = useState(false);
  const { record, decided } = at.drawing;
  const stem = bench.stems.find((s) => s.label === at.label);
  const lean = decided.lean ?? UPRIGHT;
  const roots = useMemo(() => ({ record, lean }), [record, lean]);
  const stance = useMemo(() => stanceOf(record.front, decided), [record.front, decided]);
  return (
    <details className="border-t border-base-300" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Another front</summary>
      {open && (
        <Fronts
          stem={stem?.record ?? null}
          finished={stem?.finished ?? stem?.record.height ?? record.trunk * STUMP}
          roots={roots}
          stance={stance}
          pot={decided.container ?? bench.container}
          onFront={(front) => at.act({ do: 'stand', record: { ...record, front }, decided: { lean } })}
        />
      )}
    </details>
  );
}
