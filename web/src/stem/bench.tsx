import { useDeferredValue, useMemo, useReducer, useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { StemBench, StemRecordRow } from '@gonimos/contract/stem-records';
import {
  chopPlan,
  sacrificesOf,
  stemAt,
  stemFaults,
  STEM_PARTS,
  STYLES,
  type ChopWay,
  type StemPartKind,
  type StyleId,
} from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { Field } from '../common/field';
import { Loading } from '../common/loading';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { unit } from '../common/units';
import { Dates, Keep } from '../drawings/keep';
import { UndoRedo } from '../drawings/undo';
import { useDrawn, useFirst } from '../drawings/use-drawn';
import { useToday } from '../nursery/queries';
import { Chops } from './chops';
import { PartFields } from './part-fields';
import { useStemBench } from './queries';
import { Sacrifices } from './sacrifices';
import {
  draw,
  drawingOf,
  emptyStem,
  newPart,
  NOTHING_DECIDED,
  type Act,
  type Drawing,
  type Sheet,
} from './sheet';
import { StemView } from './stem-view';

/** The stem of a cohort's plant: what stands on it, what it is to become, and where it is cut. */
export function StemPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useStemBench(cohort.id);
  if (!data || !today) return <Loading error={error} />;
  return <Bench key={cohort.id} cohort={cohort} bench={data} today={today} />;
}

const WAY_WORDS: Record<ChopWay, string> = {
  staged: 'staged: half first, the rest a season later',
  hard: 'one hard cut',
  sacrifice: 'sacrifice first, then the cut',
  bend: 'bend a shoot into the line first',
};

/** Figures of the whole stem. */
function StemFields({ drawing, act }: { drawing: Drawing; act: (a: Act) => void }) {
  const { record } = drawing;
  const set = (more: Partial<typeof record>) => act({ do: 'record', record: { ...record, ...more } });
  return (
    <div className="grid grid-cols-3 gap-3">
      <Field label="At the base" hint={unit('length')}>
        <MeasureInput
          quantity="length"
          value={record.base}
          onChange={(base) => base !== undefined && base > 0 && set({ base })}
        />
      </Field>
      <Field label="Height" hint={unit('length')}>
        <MeasureInput
          quantity="length"
          value={record.height}
          onChange={(height) => height !== undefined && height >= 10 && set({ height })}
        />
      </Field>
      <Field label="Front" hint="° from the mark">
        <NumberInput
          value={record.front}
          onChange={(front) => front >= 0 && front <= 360 && set({ front })}
        />
      </Field>
    </div>
  );
}

/** What it is to become. */
function Wanted({ drawing, way, act }: { drawing: Drawing; way: ChopWay; act: (a: Act) => void }) {
  const { decided } = drawing;
  const decide = (more: Partial<typeof decided>) => act({ do: 'decide', decided: more });
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field label="Finished height" hint={unit('length')}>
        <MeasureInput
          quantity="length"
          value={decided.finished ?? undefined}
          onChange={(mm) => decide({ finished: mm !== undefined && mm >= 30 && mm <= 5000 ? mm : null })}
        />
      </Field>
      <Field label="Style">
        <select
          className="select"
          value={decided.style}
          onChange={(e) => decide({ style: e.target.value as StyleId })}
        >
          {STYLES.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}, 1 to {s.ratio}
            </option>
          ))}
        </select>
      </Field>
      <Field label="The cut is" className="col-span-2">
        <select
          className="select"
          value={decided.way ?? ''}
          onChange={(e) => decide({ way: (e.target.value || null) as ChopWay | null })}
        >
          <option value="">as the school has it ({WAY_WORDS[way]})</option>
          {Object.entries(WAY_WORDS).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      </Field>
    </div>
  );
}

interface ToolsProps {
  drawing: Drawing;
  kind: StemPartKind;
  onKind: (kind: StemPartKind) => void;
  onAdd: () => void;
  act: (a: Act) => void;
}

/** What the next tap puts on the stem, and undo. */
function Tools({ drawing, kind, onKind, onAdd, act }: ToolsProps) {
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <div className="flex flex-wrap gap-1" role="group" aria-label="The next tap adds">
        {STEM_PARTS.map((k) => (
          <button
            key={k}
            type="button"
            aria-pressed={k === kind}
            className={`btn px-3 ${k === kind ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
            onClick={() => onKind(k)}
          >
            {k}
          </button>
        ))}
      </div>
      <button type="button" className="btn btn-ghost px-2" onClick={onAdd}>
        By figures
      </button>
      <UndoRedo drawing={drawing} act={act} />
    </div>
  );
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
    const roots = bench.roots.find((r) => r.label === label)?.roots ?? [];
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
  const [kind, setKind] = useState<StemPartKind>('branch');
  const { faults, plan, looks } = usePlans(cohort, bench, at.label, drawing);
  const { record, decided } = drawing;
  const chosen = record.parts.find((p) => p.id === drawing.chosen);
  const place = (height: number, side: 1 | -1) =>
    act({ do: 'part', part: newPart(record, kind, height, side, stemAt(record, height), today) });
  const open = (r: StemRecordRow) => {
    at.take(r);
    act({ do: 'open', sheet: { record: r.record, decided: r.decided } });
  };
  const begin = () => {
    at.renew();
    act({ do: 'open', sheet: { record, decided } });
  };
  return (
    <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="grid content-start gap-4">
        <Dates
          rows={bench.records}
          row={at.row}
          unkept={at.unkept}
          today={today}
          onOpen={(r) => open(r)}
          onBegin={begin}
        />
        <Tools
          drawing={drawing}
          kind={kind}
          onKind={setKind}
          onAdd={() => place(record.height / 3, 1)}
          act={act}
        />
        <StemView
          record={record}
          finished={decided.finished ?? null}
          band={plan?.band ?? null}
          cuts={plan?.cuts ?? []}
          cutAt={decided.cutAt ?? null}
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
        {looks.length > 0 && (
          <Sacrifices
            looks={looks}
            onWire={(part, azimuth) => act({ do: 'part', part: { ...part, azimuth } })}
          />
        )}
      </div>
      <div className="grid content-start gap-5">
        <Keep path="/stem-records" cohort={cohort} at={at} sheet={drawing} today={today} />
        {faults.map((f) => (
          <p key={f.field} role="alert" className="font-semibold text-error">
            {f.field} {f.text}
          </p>
        ))}
        <StemFields key={`stem ${drawing.turned}`} drawing={drawing} act={act} />
        {chosen && (
          <PartFields
            key={`${chosen.id} ${drawing.turned}`}
            part={chosen}
            record={record}
            today={today}
            act={act}
          />
        )}
        <Wanted key={`wanted ${drawing.turned}`} drawing={drawing} way={bench.way} act={act} />
        {plan ? (
          <Chops
            plan={plan}
            sprouts={bench.sprouts}
            cutAt={decided.cutAt ?? null}
            onCut={(cutAt) => act({ do: 'decide', decided: { cutAt } })}
          />
        ) : (
          <p className="soft">
            Say how high the finished tree is to be, and where it may be cut is worked out: at what can lead,
            with the wound and how long that stays open.
          </p>
        )}
      </div>
    </div>
  );
}
