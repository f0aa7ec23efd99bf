import { memo, useCallback, useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import {
  stemAt,
  type BandLaid,
  type ChopCut,
  type ChopPlan,
  type StemPart,
  type StemPartKind,
  type WireLaid,
} from '@gonimos/core/stem';
import { placed, type Trace } from '../drawings/trace';
import { TraceTools } from '../drawings/trace-tools';
import { newPart, type Act, type Drawing } from './sheet';
import { Tools } from './stem-fields';
import { StemView } from './stem-view';

/** The same each time: what is drawn is compared by it. */
const NO_CUTS: readonly ChopCut[] = [];

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

const PartButton = memo(function PartButton({
  part,
  chosen,
  onChoose,
}: {
  part: StemPart;
  chosen: boolean;
  onChoose: (id: string) => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`btn btn-sm ${chosen ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
      onClick={() => onChoose(part.id)}
    >
      {part.id} {part.kind}
    </button>
  );
});

/** What is drawn on: what the next tap adds, a picture behind, the stem from the front, and its parts by name. */
export function Surface({ cohort, drawing, plan, laid, bands, act, today }: Props) {
  const { record, decided } = drawing;
  const [kind, setKind] = useState<StemPartKind>('branch');
  const [trace, setTrace] = useState<Trace | null>(null);
  const [placing, setPlacing] = useState(false);
  const choose = useCallback((id: string | null) => act({ do: 'choose', id }), [act]);
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
        cuts={plan?.cuts ?? NO_CUTS}
        cutAt={decided.cutAt ?? null}
        laid={laid}
        bands={bands}
        chosen={drawing.chosen}
        onChoose={choose}
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
            <PartButton key={p.id} part={p} chosen={p.id === drawing.chosen} onChoose={choose} />
          ))}
      </div>
    </>
  );
}
