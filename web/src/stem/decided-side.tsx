import { memo, useState } from 'react';
import { taxon } from '@gonimos/core/taxa';
import { Keep } from '../drawings/keep';
import { Chops } from './chops';
import { PartFields } from './part-fields';
import { RecordStemWork } from './record-work';
import { putsOf, recordingOf, type Recording } from './recording';
import { wireOn } from './sheet';
import { Since } from './since';
import { StanceFields } from './stance';
import { StemFields, Wanted } from './stem-fields';
import type { OnBench, OnWork } from './use-bench';

/** Keeping the drawing, and recording the work it was made for. */
function KeepStem({ cohort, bench, today, b }: OnBench) {
  // as it was when its sheet was opened: the course goes on with the record, and with it the next step
  const [recording, setRecording] = useState<Recording | null>(null);
  const kept = b.at.unkept ? null : b.at.row;
  return (
    <>
      <Keep path="/stem-records" cohort={cohort} at={b.at} sheet={b.drawing} today={today}>
        {kept && bench.step?.ready && (
          <button
            type="button"
            className="btn btn-outline"
            onClick={() =>
              setRecording(recordingOf(bench, b.drawing, kept.id, putsOf(b.work.wired, b.work.bands), today))
            }
          >
            Record ‘{bench.step.title}’
          </button>
        )}
      </Keep>
      {recording && (
        <RecordStemWork cohort={cohort} work={recording} today={today} onClose={() => setRecording(null)} />
      )}
    </>
  );
}

/** Where it may be cut, once it is said what it is to become. */
const Cuts = memo(function Cuts({ cohort, bench, work }: OnWork) {
  const { record, decided, plan, act } = work;
  if (!plan)
    return (
      <p className="soft">
        Say how high the finished tree is to be, and where it may be cut is worked out: at what can lead, with
        the wound and how long that stays open.
      </p>
    );
  return (
    <Chops
      plan={plan}
      sprouts={bench.sprouts}
      cutAt={decided.cutAt ?? null}
      onCut={(cutAt) => act({ do: 'decide', decided: { cutAt } })}
      record={record}
      group={taxon(cohort.taxonId).group}
      wired={new Set(decided.wires.flatMap((w) => [w.part, w.with]))}
      onBend={(part) =>
        act({
          do: 'decide',
          decided: { wires: [...decided.wires, wireOn({ part: part.id, moves: 'up' })] },
        })
      }
    />
  );
});

/** How it leans and where it stands, in figures. */
const Stands = memo(function Stands({ stance, act }: Pick<OnWork['work'], 'stance' | 'act'>) {
  return (
    <StanceFields
      stance={stance}
      onChange={(lean, place) => act({ do: 'decide', decided: { lean, ...place } })}
    />
  );
});

/** What is told and decided in figures: the stem, the part in hand, what it is to become, how it stands, its cuts. */
export function DecidedSide(p: OnBench) {
  const { cohort, bench, today, b } = p;
  const { drawing, act, chosen, work } = b;
  const { record, turned } = drawing;
  return (
    <div className="grid grid-cols-1 content-start gap-5">
      <KeepStem {...p} />
      {work.faults.map((f) => (
        <p key={f.field} role="alert" className="font-semibold text-error">
          {f.field} {f.text}
        </p>
      ))}
      {b.before && <Since now={record} before={b.before} today={today} />}
      <StemFields key={`stem ${turned}`} record={record} act={act} />
      {chosen && (
        <PartFields
          key={`part ${turned}`}
          part={chosen}
          record={record}
          ring={bench.start.ring}
          today={today}
          act={act}
        />
      )}
      <Wanted key={`wanted ${turned}`} decided={drawing.decided} way={bench.way} act={act} />
      <Stands key={`stands ${turned}`} stance={work.stance} act={act} />
      <Cuts cohort={cohort} bench={bench} today={today} work={work} />
    </div>
  );
}
