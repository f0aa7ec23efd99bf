import { Printer } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { RootBench } from '@gonimos/contract/root-records';
import { measure, ofHundred, standingScore, termsOf } from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';
import { ringsOf } from '@gonimos/core/trunk';
import { Loading } from '../common/loading';
import { Dates, Keep } from '../drawings/keep';
import { shortDate } from '../common/dates';
import { useToday } from '../nursery/queries';
import { RecordWork } from './record-work';
import { workOf, type Working } from './recording';
import { Care } from './care';
import { Cuts } from './cuts';
import { ScoreLine, Since } from './dates';
import { Exposure, levelsOf } from './exposure';
import { Faces } from './faces';
import { Help } from './help';
import { PotFields } from './pot-fields';
import { MeasureTable } from './measures';
import { PasteSheet } from './paste-sheet';
import { useRootBench } from './queries';
import { RootFields } from './root-fields';
import { Series } from './series';
import { OtherFronts } from './other-fronts';
import { DecidedElsewhere, stanceOf } from '../stem/stance';
import { standing } from './stand';
import { Surface } from './surface';
import { PlantFields } from './tools';
import { useDrawing } from './use-drawing';
import { usePlan } from './use-plan';

/** The flare is so much wider than the trunk above it. Common practice, no source. */
const FLARE = 1.3;

/** The roots of a cohort or plant: drawn, measured, decided, and what is left remembered. */
export function RootsPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useRootBench(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Bench key={cohort.id} cohort={cohort} bench={data} today={today} />;
}

interface KeepProps {
  cohort: Cohort;
  at: ReturnType<typeof useDrawing>;
  today: string;
  /** there is a plan of cuts that can go on paper */
  card: boolean;
  /** records the work the roots were drawn for; null while it is not due */
  onRecord: (() => void) | null;
}

/** Keeping the drawing; once it is kept, its card on paper and the work itself. */
function KeepRoots({ cohort, at, today, card, onRecord }: KeepProps) {
  const kept = at.unkept ? null : at.row;
  return (
    <Keep path="/root-records" cohort={cohort} at={at} sheet={at.drawing} today={today}>
      {kept && onRecord && (
        <button type="button" className="btn btn-outline" onClick={onRecord}>
          Record the work
        </button>
      )}
      {kept && card && (
        <a
          className="btn border border-base-300 bg-base-100"
          href={`/api/cohorts/${cohort.id}/roots/${kept.id}/card`}
          target="_blank"
          rel="noreferrer"
        >
          <Printer size={18} aria-hidden /> Root card
        </a>
      )}
    </Keep>
  );
}

interface BeforeProps {
  at: ReturnType<typeof useDrawing>;
  bench: RootBench;
  today: string;
  onPaste: () => void;
}

/** Drawings that were kept, what was left, and how it was decided to stand at its stem. */
function Before({ at, bench, today, onPaste }: BeforeProps) {
  const { record, decided } = at.drawing;
  return (
    <>
      <Dates
        rows={bench.records}
        row={at.row}
        unkept={at.unkept}
        today={today}
        onOpen={at.open}
        onBegin={at.begin}
      >
        <button type="button" className="btn btn-sm btn-ghost" onClick={onPaste}>
          From a list
        </button>
      </Dates>
      {bench.left && (
        <div className="bg-[var(--cold)] px-4 py-3">
          <strong>Left {shortDate(bench.left.on, today)}:</strong> {bench.left.lines.join('; ')}
        </div>
      )}
      <DecidedElsewhere
        stances={bench.stances}
        label={at.label}
        own={stanceOf(record.front, decided)}
        today={today}
        onTake={(to) => at.act(standing(at.drawing, to))}
      />
    </>
  );
}

function Bench({ cohort, bench, today }: { cohort: Cohort; bench: RootBench; today: string }) {
  const caliper = ringsOf(cohort.rings).findLast((r) => r.season < Number(today.slice(0, 4)))?.caliper ?? 8;
  const at = useDrawing(cohort.id, bench, Math.max(4, Math.round(caliper * FLARE)));
  const { drawing, act, row } = at;
  const { record, decided } = drawing;
  const [pasting, setPasting] = useState(false);
  // as it was when its sheet was opened: the course goes on with the record, and with it the next step
  const [working, setWorking] = useState<Working | null>(null);
  const terms = useMemo(
    () => termsOf(taxon(cohort.taxonId), bench.school, bench.container, record, decided),
    [cohort.taxonId, bench, record, decided],
  );
  const limit = decided.limit ?? bench.limit.share;
  const { plan, none, stale, trade, poses } = usePlan(record, terms, limit, bench.limit.share);
  const measures = measure(record, terms.school);
  const fits = plan !== null && plan.choices.length === record.roots.length;
  const numbers = new Map(fits ? plan.cuts.map((c, i) => [c.id, i + 1]) : []);
  // the fields of a root just taken in hand come after the stroke: the finger goes first
  const handled = useDeferredValue(drawing.chosen);
  const inHand = record.roots.find((r) => r.id === handled);
  // of each plant as it was last drawn
  const latest = [...new Map(bench.records.map((r) => [r.label, r])).values()];
  const scores = latest.map((r) => ofHundred(standingScore(r.record, terms)));
  const mine = bench.records.filter((r) => r.label === (row?.label ?? at.label));
  const before = row && mine[mine.indexOf(row) - 1];
  const toWork = () => {
    if (row) setWorking(workOf(cohort, bench, { record, decided }, row.id, fits ? plan : null));
  };
  return (
    <div className="grid gap-6">
      <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_25rem] xl:grid-rows-[auto_1fr]">
        <div className="grid content-start gap-4">
          <Before at={at} bench={bench} today={today} onPaste={() => setPasting(true)} />
          <Surface
            cohort={cohort}
            drawing={drawing}
            plan={fits ? plan : null}
            numbers={numbers}
            terms={terms}
            levels={levelsOf(record, bench.exposures)}
            act={act}
            today={today}
          />
        </div>
        <div className="grid content-start gap-5 xl:col-start-2 xl:row-span-2 xl:row-start-1">
          <KeepRoots
            cohort={cohort}
            at={at}
            today={today}
            card={fits}
            onRecord={bench.step?.ready ? toWork : null}
          />
          {inHand && <RootFields root={inHand} trunk={record.trunk} act={act} />}
          {record.roots.length > 0 && (
            <Cuts
              record={record}
              plan={fits ? plan : null}
              none={none}
              stale={stale}
              decided={decided}
              bears={bench.limit}
              trade={trade}
              act={act}
              onChoose={(id) => act({ do: 'choose', id })}
            />
          )}
          <div>
            <PlantFields drawing={drawing} act={act} />
            <PotFields at={at} bench={bench} />
            {fits && <Care cohort={cohort} record={record} plan={plan} />}
            <Help
              decided={decided}
              cohort={cohort}
              record={record}
              after={(fits ? plan : null)?.measures.after ?? measures}
              room={terms.room}
              poses={poses}
              act={act}
            />
            {record.roots.length > 1 && <OtherFronts at={at} bench={bench} />}
            {before && <Since now={record} before={before} today={today} />}
          </div>
        </div>
        {record.roots.length > 0 && (
          <div className="grid content-start gap-4 xl:col-start-1">
            <MeasureTable now={measures} plan={fits ? plan : null} />
            <ScoreLine rows={mine} terms={terms} />
            <Faces record={record} />
            <Exposure record={record} exposures={bench.exposures} today={today} />
          </div>
        )}
      </div>
      {cohort.live > 1 && <Series bench={bench} plants={cohort.live} scores={scores} today={today} />}
      {pasting && <PasteSheet record={record} act={act} onClose={() => setPasting(false)} />}
      {working && (
        <RecordWork cohort={cohort} work={working} today={today} onClose={() => setWorking(null)} />
      )}
    </div>
  );
}
