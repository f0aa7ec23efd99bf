import { useState } from 'react';
import type { MixStock } from '@gonimos/contract/mixes';
import { component } from '@gonimos/core/mixes';
import { DayInput } from '../common/day-input';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { Sheet } from '../common/sheet';
import { unit, volume } from '../common/units';
import { useMay } from '../people/session';
import { useCountMix } from './queries';

function CountSheet({ row, onClose }: { row: MixStock; onClose: () => void }) {
  const count = useCountMix();
  const [counted, setCounted] = useState<number | undefined>(row.have ?? undefined);
  const [arriving, setArriving] = useState<number | undefined>(row.arriving || undefined);
  const [arrives, setArrives] = useState(row.arrives ?? '');
  const [price, setPrice] = useState(row.cents === null ? NaN : row.cents / 100);
  const bad = counted === undefined || !(counted >= 0) || (arriving !== undefined && !(arriving >= 0));
  return (
    <Sheet
      title={component(row.component).name}
      onClose={onClose}
      foot={
        <button
          type="button"
          className="btn btn-primary btn-tall w-full"
          disabled={bad || count.isPending}
          onClick={() =>
            count.mutate(
              {
                component: row.component,
                version: row.version,
                counted: counted ?? 0,
                arriving: arriving ?? 0,
                arrives: arrives || null,
                cents: Number.isFinite(price) ? Math.round(price * 100) : null,
              },
              { onSuccess: onClose },
            )
          }
        >
          Save the count
        </button>
      }
    >
      <div className="grid gap-5">
        {count.error && <Trouble>{count.error.message}</Trouble>}
        <Field
          label="In the bin"
          hint={`${unit('volume')}; what work takes from now on is taken off by itself`}
        >
          <MeasureInput quantity="volume" value={counted} onChange={setCounted} />
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Arriving" hint={unit('volume')}>
            <MeasureInput quantity="volume" value={arriving} onChange={setArriving} />
          </Field>
          <Field label="When">
            <DayInput value={arrives} onChange={setArrives} />
          </Field>
        </div>
        <Field label="Price" hint="of a litre, in your money; empty where it is not known" className="w-56">
          <NumberInput value={price} onChange={setPrice} />
        </Field>
      </div>
    </Sheet>
  );
}

/** Components in the bins against what the next ninety days want. */
export function Bins({ stock, today }: { stock: readonly MixStock[]; today: string }) {
  const may = useMay('grower');
  const [open, setOpen] = useState<MixStock | null>(null);
  // what nobody has and nobody wants is out of the way
  const shown = stock.filter((s) => s.have !== null || s.wanted > 0);
  const rest = stock.filter((s) => !shown.includes(s));
  return (
    <section aria-label="Bins" className="grid content-start gap-2">
      <h3 className="text-lg">In the bins</h3>
      <ul className="grid gap-x-10 border-t border-base-300 xl:grid-cols-2">
        {shown.map((s) => (
          <li
            key={s.component}
            className="flex flex-wrap items-center justify-between gap-x-3 border-b border-base-300 py-1.5"
          >
            <span className="min-w-32 flex-1">
              <strong>{component(s.component).name}</strong>
              <span className="soft block text-sm">
                {s.have === null ? 'not counted' : `${volume(s.have)} there`}, {volume(s.wanted)} wanted
                {s.arriving > 0 &&
                  s.arrives &&
                  `, ${volume(s.arriving)} arrive ${shortDate(s.arrives, today)}`}
              </span>
            </span>
            {s.have !== null && s.wanted > s.have && (
              <strong className="text-accent">{volume(s.wanted - s.have)} short</strong>
            )}
            {may && (
              <button
                type="button"
                className="btn btn-ghost border border-base-300"
                onClick={() => setOpen(s)}
              >
                Count<span className="sr-only"> {component(s.component).name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {may && rest.length > 0 && (
        <label className="flex items-center gap-2">
          <span className="soft text-sm">Count another</span>
          <select
            className="select w-56"
            value=""
            onChange={(e) => setOpen(rest.find((s) => s.component === e.target.value) ?? null)}
          >
            <option value="">choose</option>
            {rest.map((s) => (
              <option key={s.component} value={s.component}>
                {component(s.component).name}
              </option>
            ))}
          </select>
        </label>
      )}
      {open && <CountSheet key={open.component} row={open} onClose={() => setOpen(null)} />}
    </section>
  );
}
