import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { unit } from '../common/units';
import { UndoRedo } from '../drawings/undo';
import { BRUSHES, FIBRES, type Act, type Brush, type Drawing } from './drawing';

interface Props {
  drawing: Drawing;
  brush: Brush;
  setBrush: (b: Brush) => void;
  act: (a: Act) => void;
}

/** Brushes for new roots, and undo. */
export function Tools({ drawing, brush, setBrush, act }: Props) {
  const pick = (on: boolean) => `btn ${on ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`;
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-2">
      <div className="flex" role="group" aria-label="Thickness of new roots">
        {BRUSHES.map((b, i) => (
          <button
            key={b.name}
            type="button"
            aria-pressed={brush.thick === i}
            className={`${pick(brush.thick === i)} rounded-none first:rounded-l-md last:rounded-r-md`}
            onClick={() => setBrush({ ...brush, thick: i })}
          >
            <span
              aria-hidden="true"
              className="inline-block w-5 rounded-full bg-current"
              style={{ height: 2 + i * 4 }}
            />
            {b.name}
          </button>
        ))}
      </div>
      <select
        aria-label="Fine root of new roots"
        className="select w-auto"
        value={brush.fibre}
        onChange={(e) => setBrush({ ...brush, fibre: Number(e.target.value) })}
      >
        {FIBRES.map((f, i) => (
          <option key={f.name} value={i}>
            {f.name}
          </option>
        ))}
      </select>
      <UndoRedo drawing={drawing} act={act} />
    </div>
  );
}

const FILLS = [0, 0.25, 0.5, 0.75, 1];
const FILL_WORDS = ['bare', 'few', 'half', 'full', 'matted'];

/** The plant as a whole: trunk, front, what it stands on, how the ball was filled, what was found. */
export function PlantFields({ drawing: { record, turned }, act }: Pick<Props, 'drawing' | 'act'>) {
  const change = (more: Partial<typeof record>) => act({ do: 'record', record: { ...record, ...more } });
  const profile = record.profile;
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        The plant: trunk, front, ball, what lies under it
      </summary>
      <div className="grid grid-cols-2 gap-3 pb-3">
        <Field label="Trunk at the roots" hint={unit('length')}>
          <MeasureInput
            quantity="length"
            value={record.trunk}
            onChange={(n) => n !== undefined && n >= 1 && change({ trunk: n })}
          />
        </Field>
        <Field label="Front looks to" hint="° from N">
          <NumberInput
            key={turned}
            value={record.front}
            onChange={(n) => n >= 0 && n <= 360 && change({ front: n })}
          />
        </Field>
        <Field label="Under the base">
          <select
            className="select"
            value={record.under?.kind ?? ''}
            onChange={(e) =>
              change({
                under:
                  e.target.value === ''
                    ? null
                    : { kind: e.target.value as 'tile', size: Math.round(record.trunk * 3), depth: 10 },
              })
            }
          >
            <option value="">nothing</option>
            <option value="tile">a tile</option>
            <option value="board">a board</option>
            <option value="rock">a rock</option>
          </select>
        </Field>
        {record.under && (
          <Field label="Its width" hint={unit('length')}>
            <MeasureInput
              quantity="length"
              value={record.under.size}
              onChange={(n) => n !== undefined && n >= 5 && change({ under: { ...record.under!, size: n } })}
            />
          </Field>
        )}
        {(['top', 'middle', 'bottom'] as const).map((at) => (
          <Field key={at} label={`Ball, ${at}`}>
            <select
              className="select"
              value={profile?.[at] ?? ''}
              onChange={(e) =>
                change({
                  profile:
                    e.target.value === ''
                      ? null
                      : { top: 0.5, middle: 0.5, bottom: 0.5, ...profile, [at]: Number(e.target.value) },
                })
              }
            >
              <option value="">not looked at</option>
              {FILLS.map((f, i) => (
                <option key={f} value={f}>
                  {FILL_WORDS[i]}
                </option>
              ))}
            </select>
          </Field>
        ))}
        <label className="flex min-h-11 items-center gap-2 self-end">
          <input
            type="checkbox"
            className="checkbox"
            checked={record.escaped}
            onChange={(e) => change({ escaped: e.target.checked })}
          />
          Roots through the holes
        </label>
        <Field label="Pests or rot" className="col-span-2">
          <input
            className="input"
            value={record.pests}
            maxLength={200}
            onChange={(e) => change({ pests: e.target.value })}
          />
        </Field>
        {profile && profile.top <= 0.25 && profile.bottom >= 0.75 && (
          <p className="col-span-2 bg-[var(--slip)] px-3 py-2 text-sm">
            Bare above, matted below: the top dries first. Water by the top, comb the mat out, set it a little
            deeper.
          </p>
        )}
      </div>
    </details>
  );
}
