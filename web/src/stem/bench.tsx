import { useDeferredValue, useMemo, useReducer, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { StemBench, StemRecordRow } from '@gonimos/contract/stem-records';
import { UPRIGHT } from '@gonimos/core/stance';
import { chopPlan, sacrificesOf, stemFaults, type StemWire } from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { inUnits } from '../common/units';
import { Dates, Keep } from '../drawings/keep';
import { useDrawn, useFirst } from '../drawings/use-drawn';
import { useToday } from '../nursery/queries';
import { AboveView } from './above-view';
import { BandLines } from './bands';
import { Branches } from './branches';
import { Chops } from './chops';
import { PartFields } from './part-fields';
import type { RootsDrawn } from './front-view';
import { Fronts } from './fronts';
import { useStemBench } from './queries';
import { Sacrifices } from './sacrifices';
import { draw, drawingOf, emptyStem, NOTHING_DECIDED, wireOn, type Sheet } from './sheet';
import { StemFields, Wanted } from './stem-fields';
import { RecordStemWork } from './record-work';
import { putsOf, recordingOf, type Recording } from './recording';
import { Since } from './since';
import { DecidedElsewhere, StanceFields, stanceOf } from './stance';
import { Surface } from './surface';
import { useBands, useWires } from './use-wires';
import { Wires } from './wires';

/** The stem of a cohort's plant: what stands on it, what it is to become, and where it is cut. */
export function StemPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useStemBench(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Bench key={cohort.id} cohort={cohort} bench={data} today={today} />;
}

/** The roots of a plant as they were last drawn, and how it leant then. */
function rootsOf(bench: StemBench, label: string): RootsDrawn | null {
  const drawn = bench.roots.find((r) => r.label === label);
  return drawn ? { record: drawn.record, lean: drawn.lean ?? UPRIGHT } : null;
}

/** Where it may be cut, and the years of its sacrifices; nothing while the figures cannot be of a stem. */
function usePlans(cohort: Cohort, bench: StemBench, label: string, { record, decided }: Sheet) {
  const asked = useDeferredValue(JSON.stringify({ record, decided }));
  return useMemo(() => {
    const now = JSON.parse(asked) as Sheet;
    const faults = stemFaults(now.record);
    if (faults.length > 0) return { faults, plan: null, looks: [] };
    const kind = taxon(cohort.taxonId);
    const start = { ...bench.start, caliper: now.record.base, height: now.record.height };
    const plan =
      now.decided.finished === null
        ? null
        : chopPlan({
            record: now.record,
            kind,
            finished: now.decided.finished,
            style: now.decided.style ?? 'usual',
            way: now.decided.way ?? bench.way,
            wounds: bench.wounds,
            start,
            breaks: bench.sprouts.mean,
          });
    const roots = rootsOf(bench, label)?.record.roots ?? [];
    return { faults, plan, looks: sacrificesOf(now.record, start, kind, roots) };
  }, [asked, cohort.taxonId, bench, label]);
}

function Bench({ cohort, bench, today }: { cohort: Cohort; bench: StemBench; today: string }) {
  const key = `stem ${cohort.id}`;
  const { caliper, height } = bench.start;
  const first = useFirst(key, bench.records, (): Sheet => ({
    record: emptyStem(caliper, height ?? caliper * 40),
    decided: NOTHING_DECIDED,
  }));
  const [drawing, act] = useReducer(draw, first.sheet, drawingOf);
  const begun = drawing.record.parts.length > 0 || drawing.decided.finished !== null;
  const at = useDrawn(key, bench.records, first, drawing, begun);
  const { faults, plan, looks } = usePlans(cohort, bench, at.label, drawing);
  const { record, decided } = drawing;
  const stance = stanceOf(record.front, decided);
  const roots = useMemo(() => rootsOf(bench, at.label), [bench, at.label]);
  const chosen = record.parts.find((p) => p.id === drawing.chosen);
  const wired = useWires(cohort.id, record, decided.wires);
  const bands = useBands(cohort.id, record, decided.bands);
  const open = (r: StemRecordRow) => {
    at.take(r);
    act({ do: 'open', sheet: { record: r.record, decided: r.decided } });
  };
  const setWires = (wires: StemWire[]) => act({ do: 'decide', decided: { wires } });
  const before = at.row && bench.records.findLast((r) => r.label === at.row!.label && r.on < at.row!.on);
  // as it was when its sheet was opened: the course goes on with the record, and with it the next step
  const [recording, setRecording] = useState<Recording | null>(null);
  const kept = at.unkept ? null : at.row;
  const begin = () => {
    at.renew();
    act({ do: 'open', sheet: { record, decided } });
  };
  return (
    <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="grid content-start gap-4">
        <p className="no-print flex flex-wrap gap-2">
          <Link className="btn btn-ghost border border-base-300" to="../bends">
            Bend recipes, one for each plant
          </Link>
          <Link className="btn btn-ghost border border-base-300" to="../fuse">
            Set stems together
          </Link>
        </p>
        <Dates
          rows={bench.records}
          row={at.row}
          unkept={at.unkept}
          today={today}
          onOpen={(r) => open(r)}
          onBegin={begin}
        />
        {bench.left && (
          <div className="bg-[var(--cold)] px-4 py-3">
            <strong>Left {shortDate(bench.left.on, today)}:</strong>{' '}
            {bench.left.lines.map(inUnits).join('; ')}
          </div>
        )}
        <DecidedElsewhere
          stances={bench.stances}
          label={at.label}
          own={stance}
          today={today}
          onTake={({ front, tilt, towards, aside, behind }) =>
            act({
              do: 'stand',
              record: { ...record, front },
              decided: { lean: { tilt, towards }, aside, behind },
            })
          }
        />
        <Surface
          cohort={cohort}
          drawing={drawing}
          plan={plan}
          laid={wired.laid}
          bands={bands}
          act={act}
          today={today}
        />
        {record.parts.length > 1 && (
          <AboveView
            record={record}
            finished={decided.finished ?? null}
            chosen={drawing.chosen}
            onChoose={(id) => act({ do: 'choose', id })}
          />
        )}
        {faults.length === 0 && (record.parts.length > 1 || roots) && (
          <Fronts
            stem={record}
            finished={decided.finished ?? record.height}
            roots={roots}
            stance={stance}
            pot={bench.container}
            open={decided.fronts}
            onFront={(front) =>
              act({
                do: 'stand',
                record: { ...record, front },
                decided: {
                  lean: decided.lean ?? UPRIGHT,
                  fronts: decided.fronts.filter((f) => f !== front),
                },
              })
            }
            onOpen={(front, on) => {
              const others = decided.fronts.filter((f) => f !== front);
              act({ do: 'decide', decided: { fronts: on ? [...others, front] : others } });
            }}
          />
        )}
        {decided.finished && faults.length === 0 && (
          <Branches
            record={record}
            finished={decided.finished}
            vigour={bench.start.vigour}
            cutAt={decided.cutAt ?? null}
            onPart={(part) => act({ do: 'part', part })}
            onDrop={(id) => act({ do: 'drop', id })}
          />
        )}
        {faults.length === 0 && (
          <Wires
            record={record}
            wires={decided.wires}
            laid={wired.laid}
            bites={wired.bites}
            plants={cohort.live}
            chosen={chosen}
            held={bench.held}
            bands={bands}
            today={today}
            onWires={setWires}
          >
            <BandLines
              record={record}
              laid={bands}
              today={today}
              onBands={(all) => act({ do: 'decide', decided: { bands: all } })}
            />
          </Wires>
        )}
        {looks.length > 0 && (
          <Sacrifices
            looks={looks}
            onWire={(part, azimuth) => act({ do: 'part', part: { ...part, azimuth } })}
          />
        )}
      </div>
      <div className="grid content-start gap-5">
        <Keep path="/stem-records" cohort={cohort} at={at} sheet={drawing} today={today}>
          {kept && bench.step?.ready && (
            <button
              type="button"
              className="btn btn-outline"
              onClick={() => setRecording(recordingOf(bench, drawing, kept.id, putsOf(wired, bands), today))}
            >
              Record ‘{bench.step.title}’
            </button>
          )}
        </Keep>
        {faults.map((f) => (
          <p key={f.field} role="alert" className="font-semibold text-error">
            {f.field} {f.text}
          </p>
        ))}
        {before && <Since now={record} before={before} today={today} />}
        <StemFields key={`stem ${drawing.turned}`} drawing={drawing} act={act} />
        {chosen && (
          <PartFields
            key={`${chosen.id} ${drawing.turned}`}
            part={chosen}
            record={record}
            ring={bench.start.ring}
            today={today}
            act={act}
          />
        )}
        <Wanted key={`wanted ${drawing.turned}`} drawing={drawing} way={bench.way} act={act} />
        <StanceFields
          key={`stands ${drawing.turned}`}
          stance={stance}
          onChange={(lean, place) => act({ do: 'decide', decided: { lean, ...place } })}
        />
        {plan ? (
          <Chops
            plan={plan}
            sprouts={bench.sprouts}
            cutAt={decided.cutAt ?? null}
            onCut={(cutAt) => act({ do: 'decide', decided: { cutAt } })}
            record={record}
            group={taxon(cohort.taxonId).group}
            wired={new Set(decided.wires.flatMap((w) => [w.part, w.with]))}
            onBend={(part) => setWires([...decided.wires, wireOn({ part: part.id, moves: 'up' })])}
          />
        ) : (
          <p className="soft">
            Say how high the finished tree is to be, and where it may be cut is worked out: at what can lead,
            with the wound and how long that stays open.
          </p>
        )}
      </div>
      {recording && (
        <RecordStemWork cohort={cohort} work={recording} today={today} onClose={() => setRecording(null)} />
      )}
    </div>
  );
}
