import { FAULTS, type Fault, type Root } from '@gonimos/core/roots';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { Field } from '../common/field';
import { unit } from '../common/units';
import { FIBRES, fibreOf, fibreWord, lengthened, swung, withFault, type Act } from './drawing';

const FAULT_WORDS: Record<Fault, string> = {
  dead: 'dead',
  rotten: 'rot',
  strangling: 'strangles others',
  circling: 'turns around the trunk',
  ugly: 'ugly where it shows',
};

/** What is wrong with a root. */
function Faults({ root, act }: { root: Root; act: (a: Act) => void }) {
  return (
    <fieldset className="flex flex-wrap gap-x-4 gap-y-1">
      <legend className="mb-1 font-semibold">What is wrong with it</legend>
      {FAULTS.map((f) => (
        <label key={f} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="checkbox"
            checked={root.faults.includes(f)}
            onChange={(e) => act({ do: 'change', root: withFault(root, f, e.target.checked) })}
          />
          {FAULT_WORDS[f]}
        </label>
      ))}
    </fieldset>
  );
}

/** The figures of the root in hand, for exactness. */
export function RootFields({ root, trunk, act }: { root: Root; trunk: number; act: (a: Act) => void }) {
  const change = (more: Partial<Root>) => act({ do: 'change', root: { ...root, ...more } });
  const end = root.path[root.path.length - 1].out;
  const figure = (x: number | undefined, take: (n: number) => void) => {
    if (x !== undefined && !Number.isNaN(x)) take(x);
  };
  return (
    <section aria-label="The root in hand" className="grid gap-3 border-t-[3px] border-info pt-3">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-lg">Root {root.id}</h3>
        <button
          type="button"
          className="btn btn-sm btn-ghost text-error"
          onClick={() => act({ do: 'drop', id: root.id })}
        >
          Wipe it out
        </button>
      </div>
      <div key={root.id} className="grid grid-cols-3 gap-3">
        <Field label="Direction" hint="° from N">
          <NumberInput
            value={root.azimuth}
            onChange={(x) =>
              figure(
                x,
                (n) => n >= 0 && n <= 360 && act({ do: 'change', root: swung(root, n - root.azimuth) }),
              )
            }
          />
        </Field>
        <Field label="Thick" hint={unit('length')}>
          <MeasureInput
            quantity="length"
            value={root.diameter}
            onChange={(x) => figure(x, (n) => n > 0 && change({ diameter: n }))}
          />
        </Field>
        <Field label="Long" hint={unit('length')}>
          <MeasureInput
            quantity="length"
            value={Math.round(end - trunk / 2)}
            onChange={(x) =>
              figure(
                x,
                (n) => n > 0 && act({ do: 'change', root: lengthened(root, n - (end - trunk / 2), trunk) }),
              )
            }
          />
        </Field>
        <Field label="Height" hint="above the plane">
          <MeasureInput
            quantity="length"
            value={root.height}
            onChange={(x) => figure(x, (n) => change({ height: n }))}
          />
        </Field>
        <Field label="Slope" hint="° down; −up">
          <NumberInput
            value={root.angle}
            onChange={(x) => figure(x, (n) => Math.abs(n) <= 90 && change({ angle: n }))}
          />
        </Field>
        <Field label="Fine root">
          <select
            className="select"
            value={fibreWord(root)}
            onChange={(e) => change({ fibre: fibreOf(root.diameter, Number(e.target.value)) })}
          >
            {FIBRES.map((f, i) => (
              <option key={f.name} value={i}>
                {f.name}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <Faults root={root} act={act} />
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm"
          onClick={() =>
            change({
              forks: [
                ...root.forks,
                {
                  at: Math.round(trunk * 0.4),
                  turn: 35,
                  length: Math.round((end - trunk / 2) * 0.6),
                  diameter: root.diameter * 0.7,
                },
              ],
            })
          }
        >
          Fork near the trunk
        </button>
        {root.forks.length > 0 && (
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => change({ forks: root.forks.slice(0, -1) })}
          >
            Fork away
          </button>
        )}
      </div>
      <Field label="Note">
        <input
          className="input"
          value={root.note}
          maxLength={200}
          onChange={(e) => change({ note: e.target.value })}
        />
      </Field>
    </section>
  );
}
