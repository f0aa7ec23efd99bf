import { useMemo, useState } from 'react';
import type { Year as Data } from '@gonimos/contract/year';
import { loadOf, shortfalls, type YearPlan } from '@gonimos/core/year';
import { useMay } from '../people/session';
import { duration, shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { Bars } from './bars';
import { weeksOf } from './weeks-of';
import { Pace } from './pace';
import { People } from './people';
import { useClearWeeks, useKeepWeeks, useYear } from './queries';
import type { Answer } from '../workers/level';
import { useLeveller } from './use-leveller';
import { Routines } from './routines';
import { Verdict } from './verdict';
import { Week } from './week';

type Shown = 'now' | 'alone' | 'levelled';
const NAMES: Record<Shown, string> = { now: 'As planned', alone: 'Windows alone', levelled: 'Levelled' };
interface PlansProps {
  how: Shown;
  /** there is a levelled plan to be shown */
  levelled: boolean;
  choose: (shown: Shown) => void;
}

/** Which plan of the year is shown. */
function Plans({ how, levelled, choose }: PlansProps) {
  return (
    <div role="tablist" aria-label="Which plan" className="flex flex-wrap gap-1">
      {(Object.keys(NAMES) as Shown[])
        .filter((s) => s !== 'levelled' || levelled)
        .map((s) => (
          <button
            key={s}
            type="button"
            role="tab"
            aria-selected={how === s}
            className={`btn ${how === s ? 'btn-neutral' : 'btn-ghost border border-base-300'}`}
            onClick={() => choose(s)}
          >
            {NAMES[s]}
          </button>
        ))}
    </div>
  );
}

/** The weeks and loads of the plan that is shown, and what does not fit in it. */
function useShown(year: Data | undefined, how: Shown, answer: Answer | null) {
  return useMemo(() => {
    const plan = answer?.plan ?? null;
    if (!year) return { placed: new Map<string, number>(), load: [], short: [] };
    const weeks = plan
      ? new Map(plan.placed.map((p) => [p.id, p.week]))
      : weeksOf(year, how === 'alone' ? 'alone' : 'now');
    const parted = plan?.placed ?? (how === 'now' ? year.lines : []);
    const later = new Map(parted.map((p) => [p.id, p.later]));
    const load = loadOf(year.problem, weeks, later);
    // what a levelled plan lacks was worked out beside it
    if (answer) return { placed: weeks, load, short: answer.shortfalls.filter((s) => s.week < year.shown) };
    const placed = year.problem.steps.map((s) => ({
      id: s.id,
      week: weeks.get(s.id) ?? s.ideal,
      later: later.get(s.id) ?? 0,
    }));
    const shown = { placed, load, cost: 0, overload: 0, outOfOrder: [] };
    const short = shortfalls(year.problem, shown).filter((s) => s.week < year.shown);
    return { placed: weeks, load, short };
  }, [year, how, answer]);
}

interface DoProps {
  year: Data;
  how: Shown;
  answer: Answer | null;
  running: boolean;
  prove: () => void;
  /** the weeks were kept */
  onKept: () => void;
}

/** What may be done with the plan that is shown. */
function Doings({ year, how, answer, running, prove, onKept }: DoProps) {
  const may = useMay('grower');
  const keep = useKeepWeeks();
  const clear = useClearWeeks();
  const save = (plan: YearPlan) => {
    const lines = new Map(year.lines.map((l) => [l.id, l]));
    const weeks = plan.placed.map((p) => {
      const line = lines.get(p.id)!;
      return { cohortId: line.cohortId, key: line.key, week: year.weeks[p.week], later: p.later };
    });
    keep.mutate({ weeks }, { onSuccess: onKept });
  };
  const levelled = how === 'levelled' ? answer : null;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        {levelled && (
          <button
            type="button"
            className="btn btn-primary btn-tall"
            disabled={running || keep.isPending}
            onClick={() => save(levelled.plan)}
          >
            {keep.isPending ? 'Planning again …' : 'Keep these weeks'}
          </button>
        )}
        {levelled && !running && (
          <button type="button" className="btn btn-ghost btn-tall border border-base-300" onClick={prove}>
            Prove it further
          </button>
        )}
        {may && how === 'now' && year.lines.some((l) => l.week) && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            disabled={clear.isPending}
            onClick={() => clear.mutate(undefined)}
          >
            Let the kept weeks go
          </button>
        )}
      </div>
      {keep.error && <Trouble>{keep.error.message}</Trouble>}
      {keep.data && <p role="status">{keep.data.kept} steps have their week now.</p>}
    </>
  );
}

export function Year() {
  const [span, setSpan] = useState<26 | 52>(52);
  const { data: year, error } = useYear(span);
  const may = useMay('grower');
  const [shown, setShown] = useState<Shown>('now');
  const [week, setWeek] = useState(0);
  const { answer, running, start, prove, stop, forget } = useLeveller();
  const how = shown === 'levelled' && !answer ? 'now' : shown;
  const levelled = how === 'levelled' ? answer : null;
  const { placed, load, short } = useShown(year, how, levelled);
  if (!year) return <Loading error={error} />;
  const minutes = load.slice(0, year.shown).reduce((n, l) => n + l.all, 0);
  const steps = [...placed.values()].filter((w) => w < year.shown).length;
  const inWeek = year.lines.filter((l) => placed.get(l.id) === week);
  const level = () => {
    setShown('levelled');
    void start(year.problem);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 px-4 py-6 lg:px-6">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">
          Year
          <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
            {steps} steps, {duration(minutes)} in {span} weeks
          </span>
        </h1>
        <div className="flex flex-wrap gap-2">
          <select
            className="select w-auto"
            aria-label="How far ahead"
            value={span}
            onChange={(e) => {
              setSpan(Number(e.target.value) as 26 | 52);
              forget();
            }}
          >
            <option value={26}>half a year</option>
            <option value={52}>a year</option>
          </select>
          {may &&
            (running ? (
              <button type="button" className="btn btn-outline btn-tall" onClick={stop}>
                Stop
              </button>
            ) : (
              <button type="button" className="btn btn-primary btn-tall" onClick={level}>
                Level the weeks
              </button>
            ))}
        </div>
      </header>
      <section className="card-plain grid grid-cols-[minmax(0,1fr)] gap-3 p-4">
        <Plans how={how} levelled={answer !== null} choose={setShown} />
        <Bars year={year} load={load} chosen={week} onChoose={setWeek} />
        {running && (
          <progress
            className="progress progress-primary w-full"
            value={answer?.progress ?? 0}
            max={1}
            aria-label="Levelling"
          />
        )}
        <Verdict year={year} load={load} short={short} levelled={levelled} />
        <Doings
          year={year}
          how={how}
          answer={answer}
          running={running}
          prove={() => void prove(year.problem)}
          onKept={() => {
            forget();
            setShown('now');
          }}
        />
      </section>
      <label className="flex flex-wrap items-center gap-3 sm:hidden">
        Week
        <select className="select w-auto" value={week} onChange={(e) => setWeek(Number(e.target.value))}>
          {year.weeks.slice(0, year.shown).map((w, i) => (
            <option key={w} value={i}>
              {shortDate(w, year.today)}
            </option>
          ))}
        </select>
      </label>
      <Week
        year={year}
        week={week}
        lines={inWeek}
        load={load[week]}
        short={short.filter((s) => s.week === week)}
        kept={how === 'now'}
      />
      <People year={year} week={year.weeks[week]} />
      <Routines year={year} />
      <Pace />
    </div>
  );
}
