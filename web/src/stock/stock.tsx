import { DayInput } from '../common/day-input';
import { useState } from 'react';
import { Link } from 'react-router';
import { SPARE } from '@gonimos/core/round';
import type { StockRow } from '@gonimos/contract/stock';
import { containers, container, depthClass } from '@gonimos/core/containers';
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
    worn: String(row?.worn ?? 0),
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
              worn: Number(v.worn),
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
        <Field label="Past use" hint="cracked, brittle, holes too wide: not among those above">
          <input className="input" inputMode="numeric" {...field('worn')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={count.isPending}>
          {count.isPending ? 'Planning again …' : 'Save the count'}
        </button>
      </form>
    </Sheet>
  );
}

/** Which steps speak for a kind, and on which day. */
function Wants({ row, today }: { row: StockRow; today: string | undefined }) {
  const told = row.wants.reduce((n, w) => n + w.count, 0);
  return (
    <details className="basis-full">
      <summary className="soft cursor-pointer py-1">Spoken for by</summary>
      <ul className="flex flex-wrap gap-x-5 gap-y-1 pb-1">
        {row.wants.map((w) => (
          <li key={`${w.cohortId} ${w.on}`}>
            <Link className="link" to={`/cohorts/${w.cohortId}`}>
              {w.code}
            </Link>{' '}
            <span className="soft">
              {w.count}, {shortDate(w.on, today)}
            </span>
          </li>
        ))}
        {row.wanted > told && <li className="soft">and {row.wanted - told} more</li>}
      </ul>
    </details>
  );
}

/** How many are short, for good or until a delivery. */
function Short({ row, today }: { row: StockRow; today: string | undefined }) {
  const lacks = row.short?.count ?? (row.have === null ? 0 : row.wanted - row.have);
  if (lacks <= 0) return null;
  return (
    <strong className="ml-2 text-accent">
      {lacks} short{!row.short && row.arrives && ` until ${shortDate(row.arrives, today)}`}
    </strong>
  );
}

/** What is to be ordered, with a tenth to spare, and by when. */
function OrderList({ rows, today }: { rows: StockRow[]; today: string | undefined }) {
  const short = rows.flatMap((r) => (r.short ? [{ ...r.short, id: r.container }] : []));
  if (short.length === 0) return null;
  return (
    <section aria-label="To order" className="mb-5 border-l-4 border-accent pl-4">
      <h3 className="text-lg">To order</h3>
      <ul>
        {short
          .toSorted((a, b) => (a.on < b.on ? -1 : 1))
          .map((s) => (
            <li key={s.id}>
              <strong>{Math.ceil(s.count * SPARE)}</strong> {container(s.id).name}{' '}
              <span className="soft">
                by {shortDate(s.on, today)}: {s.count} short, a tenth to spare
              </span>
            </li>
          ))}
      </ul>
    </section>
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
      <OrderList rows={rows} today={today} />
      {rows.length === 0 && <p className="soft">Nothing counted yet: no step waits for containers.</p>}
      <ul className="card-plain divide-y divide-base-300 empty:hidden">
        {rows.map((r) => (
          <li
            key={r.container}
            className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 px-4 py-3"
          >
            <span className="min-w-48">
              <strong>{container(r.container).name}</strong>
              <span className="soft block text-sm">
                {depthClass(container(r.container))}
                {container(r.container).flexible && ', of cloth'}
              </span>
            </span>
            <span>
              {r.have === null ? <strong>not counted</strong> : `${r.have} there`}, {r.wanted} wanted
              <Short row={r} today={today} />
              {r.worn > 0 && <span className="soft">, {r.worn} past use</span>}
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
            {r.wants.length > 0 && <Wants row={r} today={today} />}
          </li>
        ))}
      </ul>
      {open && <CountSheet row={open === 'new' ? null : open} rows={rows} onClose={() => setOpen(null)} />}
    </section>
  );
}
