import { DayInput } from '../common/day-input';
import { typed } from '../common/numbers';
import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { newTally, TALLIES, type Tally, type TallyKind } from '@gonimos/contract/lineage';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { useTallies, useTally } from './queries';

const KIND_WORDS: Record<TallyKind, string> = {
  wire: 'Wire',
  grade: 'Grades',
  rooting: 'Rooting',
  size: 'Size',
};
const TINTS = ['var(--celadon)', 'var(--slip)', 'var(--rust)'];

function Bar({ tally, live }: { tally: Tally; live: number }) {
  const states: readonly string[] = TALLIES[tally.kind];
  const told = states.reduce((n, s) => n + (tally.counts[s] ?? 0), 0);
  const all = Math.max(live, told, 1);
  return (
    <div>
      <div
        className="flex h-4 overflow-hidden rounded-sm border border-base-300 bg-base-200"
        aria-hidden="true"
      >
        {states.map((s, i) => (
          <span key={s} style={{ width: `${((tally.counts[s] ?? 0) / all) * 100}%`, background: TINTS[i] }} />
        ))}
      </div>
      <p className="mt-1 text-sm">
        {states.map((s) => `${tally.counts[s] ?? 0} ${s}`).join(' · ')}
        {told < live && <span className="soft"> · {live - told} not counted</span>}
      </p>
    </div>
  );
}

/** Counts by state inside a cohort, without tags: the last of each kind. */
export function Tallies({ cohort, today }: { cohort: Cohort; today: string }) {
  const { data = [] } = useTallies(cohort.id);
  const [counting, setCounting] = useState(false);
  const last = (Object.keys(TALLIES) as TallyKind[]).flatMap((k) => data.find((t) => t.kind === k) ?? []);
  return (
    <section className="mb-6 max-w-4xl">
      <header className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">Tallies</h2>
        {cohort.live > 0 && (
          <button type="button" className="no-print btn btn-outline" onClick={() => setCounting(true)}>
            Count by state
          </button>
        )}
      </header>
      {last.length === 0 && <p className="soft">Nobody has walked through and counted by state yet.</p>}
      <ul className="grid gap-4 sm:grid-cols-2">
        {last.map((t) => (
          <li key={t.id}>
            <p className="font-semibold">
              {KIND_WORDS[t.kind]}{' '}
              <span className="soft font-normal">
                {shortDate(t.on, today)}, {t.by}
              </span>
            </p>
            <Bar tally={t} live={cohort.live} />
          </li>
        ))}
      </ul>
      {counting && <TallySheet cohort={cohort} today={today} onClose={() => setCounting(false)} />}
    </section>
  );
}

function TallySheet({ cohort, today, onClose }: { cohort: Cohort; today: string; onClose: () => void }) {
  const tell = useTally(cohort.id);
  const first: Record<string, string> = { kind: 'wire', on: today, note: '', s0: '', s1: '', s2: '' };
  const { v, field, day, faults, submit } = useSheetForm({
    first,
    schema: newTally,
    payload: (x) => ({
      kind: x.kind,
      on: x.on,
      note: x.note,
      counts: Object.fromEntries(TALLIES[x.kind as TallyKind].map((s, i) => [s, typed(x[`s${i}`]) ?? 0])),
    }),
    write: tell,
    done: onClose,
  });
  return (
    <Sheet title="Count by state" sub={`${cohort.code} · ${cohort.live} alive`} onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {tell.error && <Trouble>{tell.error.message}</Trouble>}
        <Field label="Of what">
          <select className="select" {...field('kind')}>
            {(Object.keys(TALLIES) as TallyKind[]).map((k) => (
              <option key={k} value={k}>
                {KIND_WORDS[k]}
              </option>
            ))}
          </select>
        </Field>
        <div className="grid grid-cols-3 gap-4">
          {TALLIES[v.kind as TallyKind].map((s, i) => (
            <Field key={s} label={s} error={faults[`counts.${s}`]}>
              <input className="input" inputMode="numeric" autoComplete="off" {...field(`s${i}`)} />
            </Field>
          ))}
        </div>
        <Field label="Day" error={faults.on}>
          <DayInput max={today} {...day('on')} />
        </Field>
        <Field label="Note">
          <input className="input" autoComplete="off" {...field('note')} />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={tell.isPending}>
          Keep the count
        </button>
      </form>
    </Sheet>
  );
}
