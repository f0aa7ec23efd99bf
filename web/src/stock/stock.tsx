import { DayInput } from '../common/day-input';
import { useState } from 'react';
import type { StockRow } from '@gonimos/contract/stock';
import { containers, container } from '@gonimos/core/containers';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useCount, useStock } from './queries';

function CountSheet({ row, rows, onClose }: { row: StockRow | null; rows: StockRow[]; onClose: () => void }) {
  const count = useCount();
  const free = containers().filter(
    (c) => c.wall !== 'ground' && !rows.some((r) => r.container === c.id && r.have !== null),
  );
  const [v, set] = useState({
    container: row?.container ?? free[0]?.id ?? '',
    counted: String(row?.have ?? ''),
    arriving: String(row?.arriving ?? 0),
    arrives: row?.arrives ?? '',
  });
  const field = (name: keyof typeof v) => ({
    value: v[name],
    onChange: (e: { target: { value: string } }) => set({ ...v, [name]: e.target.value }),
  });
  return (
    <Sheet title={row ? container(row.container).name : 'Count a kind'} onClose={onClose}>
      <form
        className="grid gap-5"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          count.mutate(
            {
              container: v.container,
              version: row?.version ?? 0,
              counted: Number(v.counted),
              arriving: Number(v.arriving),
              arrives: v.arrives || null,
            },
            { onSuccess: onClose },
          );
        }}
      >
        {count.error && <Trouble>{count.error.message}</Trouble>}
        {!row && (
          <Field label="Kind">
            <select className="select" {...field('container')}>
              {free.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          </Field>
        )}
        <Field label="On the shelf" hint="counted today; what is used from now on is taken off by itself">
          <input className="input" inputMode="numeric" {...field('counted')} />
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Arriving">
            <input className="input" inputMode="numeric" {...field('arriving')} />
          </Field>
          <Field label="When">
            <DayInput value={v.arrives} onChange={(arrives) => set({ ...v, arrives })} />
          </Field>
        </div>
        <button className="btn btn-primary btn-tall" disabled={count.isPending}>
          {count.isPending ? 'Planning again …' : 'Save the count'}
        </button>
      </form>
    </Sheet>
  );
}

/** Containers on the shelf against what the next ninety days want. */
export function Stock() {
  const rows = useStock().data ?? [];
  const today = useToday();
  const may = useMay('grower');
  const [open, setOpen] = useState<StockRow | 'new' | null>(null);
  return (
    <section>
      <header className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">Containers on the shelf</h2>
        {may && (
          <button type="button" className="btn btn-outline" onClick={() => setOpen('new')}>
            Count a kind
          </button>
        )}
      </header>
      {rows.length === 0 && <p className="soft">Nothing counted yet: no step waits for containers.</p>}
      <ul className="card-plain divide-y divide-base-300 empty:hidden">
        {rows.map((r) => (
          <li
            key={r.container}
            className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 px-4 py-3"
          >
            <strong className="min-w-48">{container(r.container).name}</strong>
            <span>
              {r.have === null ? <strong>not counted</strong> : `${r.have} there`}, {r.wanted} wanted
              {r.have !== null && r.wanted > r.have && (
                <strong className="ml-2 text-accent">{r.wanted - r.have} short</strong>
              )}
            </span>
            <span className="soft">
              {r.arrives && r.arriving > 0
                ? `${r.arriving} arrive ${shortDate(r.arrives, today)}`
                : 'none on the way'}
            </span>
            {may && (
              <button
                type="button"
                className="btn btn-ghost border border-base-300"
                onClick={() => setOpen(r)}
              >
                Count<span className="sr-only"> {container(r.container).name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {open && <CountSheet row={open === 'new' ? null : open} rows={rows} onClose={() => setOpen(null)} />}
    </section>
  );
}
