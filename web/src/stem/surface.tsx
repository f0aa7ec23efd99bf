import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { stemAt, type BandLaid, type ChopPlan, type StemPartKind, type WireLaid } from '@gonimos/core/stem';
import { placed, type Trace } from '../drawings/trace';
import { TraceTools } from '../drawings/trace-tools';
import { newPart, type Act, type Drawing } from './sheet';
import { Tools } from './stem-fields';
import { StemView } from './stem-view';

interface Props {
  cohort: Cohort;
  drawing: Drawing;
  /** where it may be cut; null while it is not known */
  plan: ChopPlan | null;
  laid: readonly WireLaid[];
  bands: readonly BandLaid[];
  act: (a: Act) => void;
  today: string;
}

/** What is drawn on: what the next tap adds, a picture behind, the stem from the front, and its parts by name. */
export function Surface({ cohort, drawing, plan, laid, bands, act, today }: Props) {
  const { record, decided } = drawing;
  const [kind, setKind] = useState<StemPartKind>('branch');
  const [trace, setTrace] = useState<Trace | null>(null);
  const [placing, setPlacing] = useState(false);
  const place = (height: number, side: 1 | -1) =>
    act({ do: 'part', part: newPart(record, kind, height, side, stemAt(record, height), today) });
  return (
    <>
      <Tools
        drawing={drawing}
        kind={kind}
        onKind={setKind}
        onAdd={() => place(record.height / 3, 1)}
        act={act}
      />
      <TraceTools
        cohortId={cohort.id}
        today={today}
        reach={record.height / 2}
        middle={{ x: 0, y: record.height / 2 }}
        taps="Tap the stem where it leaves the soil in the picture, then its tip."
        trace={trace}
        placing={placing}
        set={setTrace}
        setPlacing={setPlacing}
      />
      <StemView
        trace={trace}
        onPlaced={
          placing && trace
            ? (first, second) => {
                setTrace(placed(trace, first, second, record.height));
                setPlacing(false);
              }
            : null
        }
        record={record}
        finished={decided.finished ?? null}
        band={plan?.band ?? null}
        cuts={plan?.cuts ?? []}
        cutAt={decided.cutAt ?? null}
        laid={laid}
        bands={bands}
        chosen={drawing.chosen}
        onChoose={(id) => act({ do: 'choose', id })}
        onPlace={place}
      />
      {plan && (
        <p className="soft text-sm">
          Shaded: where the first cut belongs. Bars at the right: where branches are wanted, dotted where
          nothing stands yet.
        </p>
      )}
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Parts">
        {record.parts
          .toSorted((a, b) => a.height - b.height)
          .map((p) => (
            <button
              key={p.id}
              type="button"
              aria-pressed={p.id === drawing.chosen}
              className={`btn btn-sm ${p.id === drawing.chosen ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
              onClick={() => act({ do: 'choose', id: p.id })}
            >
              {p.id} {p.kind}
            </button>
          ))}
      </div>
    </>
  );
}
