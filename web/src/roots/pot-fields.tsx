import type { RootBench } from '@gonimos/contract/root-records';
import { containers } from '@gonimos/core/containers';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';
import type { useDrawing } from './use-drawing';

type At = ReturnType<typeof useDrawing>;

/** The pot it goes into, and where in it the trunk is to stand. */
export function PotFields({ at, bench }: { at: At; bench: RootBench }) {
  const { decided } = at.drawing;
  const shown = decided.container ?? bench.container ?? '';
  const set = (more: Partial<typeof decided>) => at.act({ do: 'decide', decided: more });
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        The pot, and where the trunk stands in it
      </summary>
      <div className="grid grid-cols-2 gap-3 pb-3">
        <Field label="Goes into" className="col-span-2">
          <select className="select" value={shown} onChange={(e) => set({ container: e.target.value })}>
            {containers()
              .filter((c) => !c.shared)
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
          </select>
        </Field>
        <Field label="To the right" hint="mm from the middle">
          <NumberInput
            value={decided.aside ?? 0}
            onChange={(n) => Math.abs(n) <= 1000 && set({ aside: n })}
          />
        </Field>
        <Field label="To the back" hint="mm from the middle">
          <NumberInput
            value={decided.behind ?? 0}
            onChange={(n) => Math.abs(n) <= 1000 && set({ behind: n })}
          />
        </Field>
      </div>
    </details>
  );
}
