import { memo, useCallback } from 'react';
import { Link } from 'react-router';
import { UPRIGHT } from '@gonimos/core/stance';
import type { StemPart } from '@gonimos/core/stem';
import { shortDate } from '../common/dates';
import { inUnits } from '../common/units';
import { Dates } from '../drawings/keep';
import { AboveView } from './above-view';
import { BandLines } from './bands';
import { Branches } from './branches';
import { Fronts } from './fronts';
import { Sacrifices } from './sacrifices';
import { DecidedElsewhere } from './stance';
import { Surface } from './surface';
import type { OnBench, OnWork } from './use-bench';
import { Wires } from './wires';

/** What else a stem can be worked out for, what was left, and how it was decided to stand at its roots. */
function Above({ bench, today, b }: OnBench) {
  const { at, drawing, act } = b;
  return (
    <>
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
        onOpen={b.open}
        onBegin={b.begin}
      />
      {bench.left && (
        <div className="bg-[var(--cold)] px-4 py-3">
          <strong>Left {shortDate(bench.left.on, today)}:</strong> {bench.left.lines.map(inUnits).join('; ')}
        </div>
      )}
      <DecidedElsewhere
        stances={bench.stances}
        label={at.label}
        own={b.work.stance}
        today={today}
        onTake={({ front, tilt, towards, aside, behind }) =>
          act({
            do: 'stand',
            record: { ...drawing.record, front },
            decided: { lean: { tilt, towards }, aside, behind },
          })
        }
      />
    </>
  );
}

/** Sides that may be its front: one is taken, others are left open. */
const StemFronts = memo(function StemFronts({ bench, work }: OnWork) {
  const { record, decided, roots, stance, act } = work;
  const without = (front: number) => decided.fronts.filter((f) => f !== front);
  return (
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
          decided: { lean: decided.lean ?? UPRIGHT, fronts: without(front) },
        })
      }
      onOpen={(front, on) =>
        act({ do: 'decide', decided: { fronts: on ? [...without(front), front] : without(front) } })
      }
    />
  );
});

/** Wire on it, and what goes around its base. */
const StemWires = memo(function StemWires({
  cohort,
  bench,
  today,
  work,
  chosen,
}: OnWork & { chosen: StemPart | undefined }) {
  const { record, decided, wired, bands, act } = work;
  return (
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
      onWires={(wires) => act({ do: 'decide', decided: { wires } })}
    >
      <BandLines
        record={record}
        laid={bands}
        today={today}
        onBands={(to) => act({ do: 'decide', decided: { bands: to } })}
      />
    </Wires>
  );
});

/** Shoots left to grow for the trunk’s sake. */
const StemSacrifices = memo(function StemSacrifices({ looks, act }: Pick<OnWork['work'], 'looks' | 'act'>) {
  if (looks.length === 0) return null;
  return (
    <Sacrifices looks={looks} onWire={(part, azimuth) => act({ do: 'part', part: { ...part, azimuth } })} />
  );
});

/** The stem as it is drawn, and what stands on it: fronts, branches, wire, sacrifices. */
export function DrawnSide(p: OnBench) {
  const { cohort, bench, today, b } = p;
  const { drawing, act, work } = b;
  const { record, decided } = drawing;
  const sound = work.faults.length === 0;
  const on = { cohort, bench, today, work };
  const choose = useCallback((id: string) => act({ do: 'choose', id }), [act]);
  return (
    <div className="grid grid-cols-1 content-start gap-4">
      <Above {...p} />
      <Surface
        cohort={cohort}
        drawing={drawing}
        plan={work.plan}
        laid={work.wired.laid}
        bands={work.bands}
        act={act}
        today={today}
      />
      {record.parts.length > 1 && (
        <AboveView
          record={record}
          finished={decided.finished ?? null}
          chosen={drawing.chosen}
          onChoose={choose}
        />
      )}
      {sound && (record.parts.length > 1 || work.roots) && <StemFronts {...on} />}
      {sound && decided.finished && (
        <Branches
          record={record}
          finished={decided.finished}
          vigour={bench.start.vigour}
          cutAt={decided.cutAt ?? null}
          act={act}
        />
      )}
      {sound && <StemWires {...on} chosen={b.chosen} />}
      <StemSacrifices looks={work.looks} act={act} />
    </div>
  );
}
