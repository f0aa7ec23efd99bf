import { ArrowDown, ArrowUp, Download, Plus, Upload } from 'lucide-react';
import { useDeferredValue, useMemo, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { CohortRow } from '@gonimos/contract/cohorts';
import { container } from '@gonimos/core/containers';
import { METHODS } from '@gonimos/core/programmes';
import { taxa, taxon } from '@gonimos/core/taxa';
import { PlaceOptions } from '../nursery/place-options';
import { usePlaceName, useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { InTurn } from '../common/after-paint';
import { dateSpan, saidDate, seasonYear, shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { Section } from '../common/section';
import { countWords } from '../common/words';
import { COLUMNS, fits, inOrder, linesOf, type Column, type Line, type Wanted } from './lines';
import { useRegister } from './queries';
import { length } from '../common/units';

const PAGE = 40;
/** Lines that are put there at once. */
const AT_ONCE = 5;
const WIDTHS: Partial<Record<Column, string>> = {
  code: 'w-32',
  live: 'w-20',
  trunk: 'w-24',
  startedFrom: 'w-32',
  taxonName: 'w-44',
  placeName: 'w-48',
};

function Status({ row, today }: { row: CohortRow; today: string }) {
  if (!row.growing) return <span className="soft">none left</span>;
  if (!row.nextTitle || !row.nextOpens || !row.nextCloses)
    return <span className="soft">nothing dated ahead</span>;
  const due = row.nextOpens <= today;
  return (
    <span>
      <span className="block">{row.nextTitle}</span>
      <span className={`text-sm ${due ? 'font-semibold text-accent' : 'soft'}`}>
        {due ? 'due, ' : ''}
        {dateSpan(row.nextOpens, row.nextCloses, today)}
      </span>
    </span>
  );
}

/** Filters, search, order and page live in the address, so that a view can be kept and sent. */
function useAddress() {
  const [search, setSearch] = useSearchParams();
  const set = (changes: Record<string, string>) => {
    const next = new URLSearchParams(search);
    for (const [k, v] of Object.entries({ page: '', ...changes })) {
      if (v === '') next.delete(k);
      else next.set(k, v);
    }
    setSearch(next, { replace: true });
  };
  const value = (k: string) => search.get(k) ?? '';
  return { value, set };
}

type Address = ReturnType<typeof useAddress>;

interface FilterProps {
  label: string;
  width: string;
  value: string;
  choose: (value: string) => void;
  /** what may be chosen, the first for everything */
  children: ReactNode;
}

const Filter = ({ label, width, value, choose, children }: FilterProps) => (
  <select
    className={`select w-full ${width}`}
    aria-label={label}
    value={value}
    onChange={(e) => choose(e.target.value)}
  >
    {children}
  </select>
);

/** What the register is narrowed by: words, kind, place, way of starting, state. */
function Filters({ used, address: { value, set } }: { used: ReadonlySet<string>; address: Address }) {
  return (
    <div className="mb-3 grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
      <input
        type="search"
        className="input col-span-2 w-full sm:w-64"
        placeholder="Code, name, step, place"
        aria-label="Search cohorts"
        value={value('q')}
        onChange={(e) => set({ q: e.target.value })}
      />
      <Filter label="Taxon" width="sm:w-48" value={value('taxon')} choose={(taxon) => set({ taxon })}>
        <option value="">every taxon</option>
        {taxa()
          .filter((t) => used.has(t.id))
          .map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
      </Filter>
      <Filter label="Place" width="sm:w-40" value={value('place')} choose={(place) => set({ place })}>
        <option value="">every place</option>
        <PlaceOptions />
      </Filter>
      <Filter label="Method" width="sm:w-36" value={value('method')} choose={(method) => set({ method })}>
        <option value="">every method</option>
        {METHODS.map((m) => (
          <option key={m}>{m}</option>
        ))}
      </Filter>
      <Filter label="State" width="sm:w-36" value={value('state')} choose={(state) => set({ state })}>
        <option value="">every state</option>
        <option value="due">work due</option>
        <option value="growing">growing</option>
        <option value="gone">none left</option>
      </Filter>
    </div>
  );
}

interface Shown {
  season: number;
  today: string;
}

function TableLine({ line, season, today }: { line: Line } & Shown) {
  const { row: r, taxonName, placeName: stands, trunk } = line;
  return (
    <tr className="align-middle hover:bg-base-200 max-md:grid max-md:grid-cols-[1fr_auto] max-md:gap-x-3 max-md:px-3 max-md:py-3">
      <td className="px-3 py-2 max-md:p-0">
        <Link to={`/cohorts/${r.id}`} className="flex items-center gap-3 font-bold">
          <Section
            rings={r.rings}
            season={season}
            containerId={r.container}
            target={r.goalCaliper}
            size={38}
          />
          <span className="whitespace-nowrap underline decoration-base-300 underline-offset-4">{r.code}</span>
          <span className="soft font-normal md:hidden">{taxonName}</span>
        </Link>
      </td>
      <td className="px-3 max-md:hidden">
        {taxonName}
        <span className="soft block truncate text-sm italic">{taxon(r.taxonId).botanical}</span>
      </td>
      <td className="px-3 text-right font-semibold whitespace-nowrap max-md:p-0 max-md:self-center">
        {r.live > 0 ? r.live : countWords(r)}
        {r.live > 0 && <span className="md:sr-only"> alive</span>}
      </td>
      <td className="px-3 text-right whitespace-nowrap max-md:hidden">
        {trunk > 0 ? length(trunk) : ''}
        {r.goalCaliper && <span className="soft block text-sm">of {r.goalCaliper}</span>}
      </td>
      <td className="px-3 max-md:hidden">{saidDate(r.startedSaid, today)}</td>
      <td className="px-3 max-md:hidden">
        {stands}
        <span className="soft block truncate text-sm">{container(r.container).name}</span>
      </td>
      <td className="px-3 py-1.5 max-md:col-span-2 max-md:px-0 max-md:pt-2">
        {r.held ? (
          <p>
            <strong className="text-accent">Held apart</strong> since {shortDate(r.held.since, today)}
            <span className="soft block truncate text-sm">{r.held.found}</span>
          </p>
        ) : (
          <Status row={r} today={today} />
        )}
      </td>
    </tr>
  );
}

interface LinesProps extends Shown {
  lines: readonly Line[];
  page: number;
  sort: string;
  order: (column: string) => void;
}

/** A page of the register: a table on a desk, cards on a phone. */
function Lines({ lines, page, sort, order, season, today }: LinesProps) {
  return (
    <div className="card-plain overflow-hidden">
      <table className="w-full table-fixed border-collapse max-md:block">
        <thead className="max-md:hidden">
          <tr className="border-b border-base-300 text-left">
            {(Object.keys(COLUMNS) as Column[]).map((id) => (
              <th
                key={id}
                scope="col"
                aria-sort={sort === id ? 'ascending' : sort === `-${id}` ? 'descending' : 'none'}
                className={`p-0 ${WIDTHS[id] ?? ''} ${['live', 'trunk'].includes(id) ? 'text-right' : ''}`}
              >
                <button
                  type="button"
                  className="soft inline-flex min-h-11 items-center gap-1 px-3 font-semibold"
                  onClick={() => order(id)}
                >
                  {COLUMNS[id].header}
                  {sort === id && <ArrowUp size={15} />}
                  {sort === `-${id}` && <ArrowDown size={15} />}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="divide-y divide-base-300 max-md:block">
          <InTurn key={`${sort} ${page}`} each={AT_ONCE}>
            {lines.map((line) => (
              <TableLine key={line.row.id} line={line} season={season} today={today} />
            ))}
          </InTurn>
        </tbody>
      </table>
    </div>
  );
}

function Pages({ page, pages, go }: { page: number; pages: number; go: (page: number) => void }) {
  return (
    <nav aria-label="Pages" className="mt-3 flex items-center gap-3">
      <button type="button" className="btn btn-outline" disabled={page === 0} onClick={() => go(page - 1)}>
        Before
      </button>
      <span>
        {page + 1} of {pages}
      </span>
      <button
        type="button"
        className="btn btn-outline"
        disabled={page + 1 >= pages}
        onClick={() => go(page + 1)}
      >
        Next
      </button>
    </nav>
  );
}

export function Register() {
  const { data, error } = useRegister();
  const today = useToday();
  const placeName = usePlaceName();
  const may = useMay('grower');
  const { value, set } = useAddress();
  const q = useDeferredValue(value('q').toLowerCase());
  const season = today ? seasonYear(today) : 0;
  const tax = value('taxon');
  const place = value('place');
  const method = value('method');
  const state = value('state');

  const lines = useMemo(() => linesOf(data ?? [], season, placeName), [data, season, placeName]);
  const shown = useMemo(() => {
    const wanted = { text: q, taxonId: tax, placeId: place, method, state: state as Wanted['state'] };
    return lines.filter((l) => fits(l, wanted, today));
  }, [lines, tax, place, method, state, q, today]);
  const sort = value('sort') || 'code';
  const sorted = useMemo(() => inOrder(shown, sort), [shown, sort]);
  const page = Math.max(0, Number(value('page') || '1') - 1);
  if (!data || !today) return <Loading error={error} />;
  const rows = sorted.slice(page * PAGE, (page + 1) * PAGE);
  const pages = Math.max(1, Math.ceil(shown.length / PAGE));
  const used = new Set(lines.map((l) => l.row.taxonId));
  const alive = shown.reduce((n, l) => n + l.row.live, 0);
  const order = (id: string) => set({ sort: sort === id ? `-${id}` : id });

  return (
    <div className="px-4 py-6 lg:px-6">
      <header className="mb-4 flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">
          Cohorts
          <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
            {shown.length.toLocaleString('en-GB')} shown, {alive.toLocaleString('en-GB')} plants alive
          </span>
        </h1>
        <div className="flex flex-wrap gap-2">
          <a className="btn btn-ghost gap-2 border border-base-300" href="/api/files/cohorts.csv" download>
            <Download size={18} /> CSV out
          </a>
          {may && (
            <>
              <Link className="btn btn-ghost gap-2 border border-base-300" to="/cohorts/import">
                <Upload size={18} /> CSV in
              </Link>
              <Link className="btn btn-primary gap-2" to="/cohorts/new">
                <Plus size={18} /> New cohort
              </Link>
            </>
          )}
        </div>
      </header>
      <Filters used={used} address={{ value, set }} />
      {shown.length === 0 ? (
        <p className="card-plain soft p-6 text-lg">
          {lines.length === 0 ? (
            <Link to="/cohorts/new" className="underline">
              Enter the first cohort
            </Link>
          ) : (
            'No cohort fits. Take a filter off.'
          )}
        </p>
      ) : (
        <Lines lines={rows} page={page} sort={sort} order={order} season={season} today={today} />
      )}
      {pages > 1 && <Pages page={page} pages={pages} go={(to) => set({ page: String(to + 1) })} />}
    </div>
  );
}
