import { memo } from 'react';
import {
  STEM_PARTS,
  STYLES,
  type ChopWay,
  type StemPartKind,
  type StemRecord,
  type StyleId,
} from '@gonimos/core/stem';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { unit } from '../common/units';
import { UndoRedo } from '../drawings/undo';
import type { Act, Decided, Drawing } from './sheet';

const WAY_WORDS: Record<ChopWay, string> = {
  staged: 'staged: half first, the rest a season later',
  hard: 'one hard cut',
  sacrifice: 'sacrifice first, then the cut',
  bend: 'bend a shoot into the line first',
};

/** Figures of the whole stem. */
export const StemFields = memo(function StemFields({
  record,
  act,
}: {
  record: StemRecord;
  act: (a: Act) => void;
}) {
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
});

/** What it is to become. */
export const Wanted = memo(function Wanted({
  decided,
  way,
  act,
}: {
  decided: Decided;
  way: ChopWay;
  act: (a: Act) => void;
}) {
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
});

interface ToolsProps {
  drawing: Drawing;
  kind: StemPartKind;
  onKind: (kind: StemPartKind) => void;
  onAdd: () => void;
  act: (a: Act) => void;
}

/** What the next tap puts on the stem, and undo. */
export function Tools({ drawing, kind, onKind, onAdd, act }: ToolsProps) {
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
