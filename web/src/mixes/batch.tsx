import { useState } from 'react';
import type { Mix, MixStock } from '@gonimos/contract/mixes';
import { batchOf, costOf } from '@gonimos/core/mixes';
import { money } from '@gonimos/core/words';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { unit, volume } from '../common/units';
import { useMakeBatch } from './queries';

/** Most that is mixed at once, litres. */
const MOST = 20_000;

/** What so many litres of a mix want from the bags, and what is short of it. */
export function Batch({ mix, stock, today }: { mix: Mix; stock: readonly MixStock[]; today: string }) {
  const make = useMakeBatch();
  const [note, setNote] = useState('');
  const [litres, setLitres] = useState<number | undefined>(100);
  const asked = litres !== undefined && litres > 0 && litres <= MOST;
  const parts = asked ? batchOf(mix, litres) : [];
  const cost = costOf(parts, (c) => stock.find((s) => s.component === c)?.cents ?? null);
  return (
    <section aria-label="A batch" className="grid content-start gap-3">
      <h3 className="text-lg">A batch</h3>
      <Field
        label="Ready mixed"
        hint={unit('volume')}
        error={asked ? undefined : `is not from 0 to ${volume(MOST)}`}
        className="w-40"
      >
        <MeasureInput quantity="volume" value={litres} onChange={setLitres} />
      </Field>
      {asked && (
        <table className="w-full tabular-nums">
          <thead>
            <tr className="soft text-left text-sm">
              <th>from the bag</th>
              <th className="text-right">sieved, in</th>
              <th className="text-right">in the bin</th>
            </tr>
          </thead>
          <tbody>
            {parts.map(({ component, litres: sieved, bought }) => {
              const have = stock.find((s) => s.component === component.id)?.have ?? null;
              return (
                <tr key={component.id} className="border-t border-base-300">
                  <td className="py-2">
                    <strong>{volume(bought)}</strong> {component.name}
                  </td>
                  <td className="text-right">{volume(sieved)}</td>
                  <td className="text-right">
                    {have === null ? (
                      'not counted'
                    ) : have < bought ? (
                      <strong className="text-accent">{volume(bought - have)} short</strong>
                    ) : (
                      volume(have)
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {asked && cost !== null && litres && (
        <p className="soft">
          {money(cost)} in all, {money(cost / litres)} a litre, by the prices of the bins.
        </p>
      )}
      {parts.some((p) => p.component.dusty) && (
        <p className="border-l-4 border-accent pl-3">
          Dry grain gives dust that harms the lungs: damp it before it is poured and sieved, wear a mask.
        </p>
      )}
      {make.error && <Trouble>{make.error.message}</Trouble>}
      {asked && (
        <div className="flex flex-wrap items-end gap-3">
          <Field label="Note" className="min-w-40 flex-1">
            <input className="input" maxLength={400} value={note} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <button
            type="button"
            className="btn btn-primary"
            disabled={make.isPending}
            onClick={() =>
              make.mutate({ mix: mix.id, on: today, litres, note }, { onSuccess: () => setNote('') })
            }
          >
            Made today
          </button>
        </div>
      )}
    </section>
  );
}
