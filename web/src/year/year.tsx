import { plural } from '@gonimos/core/words';
import { useMemo, useState } from 'react';
import type { Year as Data } from '@gonimos/contract/year';
import { loadOf, shortfalls, type WeekLoad, type YearPlan } from '@gonimos/core/year';
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
import { Week } from './week';

type Shown = 'now' | 'alone' | 'levelled';
const NAMES: Record<Shown, string> = { now: 'As planned', alone: 'Windows alone', levelled: 'Levelled' };
const percent = (x: number) => (x < 0.001 ? 'under 0.1 %' : `${(x * 100).toFixed(1)} %`);

/** How good a levelled plan is: minutes too many, and how far it can be from the best there is. */
function Verdict({ plan, bound, minutes }: { plan: YearPlan; bound: number; minutes: number }) {
  const gap = plan.cost > 0 ? (plan.cost - bound) / plan.cost : 0;
  return (
    <p>
      <strong>
        {plan.overload === 0 ? 'Everything fits.' : `${duration(plan.overload)} too many in all`}
      </strong>
      {plan.overload > 0 && ` (${percent(plan.overload / Math.max(1, minutes))} of the work)`}{' '}
      <span className="soft">
        {gap < 0.001
          ? 'Proved the best there is, to a thousandth of its cost'
          : `No plan can beat it by more than ${percent(gap)} of its cost, proved by week prices`}
        : 10 for a minute too many, 1 to 4 for each week away from the best, squared.
      </span>
    </p>
  );
}

/** What would not fit, over the whole year. */
function Lost({ year, weeks, load }: { year: Data; weeks: ReadonlyMap<string, number>; load: WeekLoad[] }) {
  const lost = useMemo(() => {
    const plan = {
      placed: year.problem.steps.map((s) => ({ id: s.id, week: weeks.get(s.id) ?? s.ideal, later: 0 })),
      load,
      cost: 0,
      overload: 0,
      outOfOrder: [],
    };
    return shortfalls(year.problem, plan).filter((s) => s.week < year.shown);
  }, [year, weeks, load]);
  const windows = lost.filter((s) => s.windowLost).length;
  if (lost.length === 0) return null;
  return (
    <p className="rounded-box bg-[var(--due)] px-4 py-3">
      <strong>{plural(lost.length, 'step')} would not fit</strong>
      {windows > 0
        ? `, and ${plural(windows, 'window')} would be lost with them.`
        : ', all with room later in their windows.'}
    </p>
  );
}

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

/** What a levelled plan reaches, and what still does not fit into it. */
function Levelled({ answer, minutes }: { answer: Answer; minutes: number }) {
  const { shortfalls } = answer;
  return (
    <>
      <Verdict plan={answer.plan} bound={answer.bound} minutes={minutes} />
      {shortfalls.length > 0 && (
        <p className="rounded-box bg-[var(--due)] px-4 py-3">
          <strong>{plural(shortfalls.length, 'step')} still do not fit</strong>
          {', '}
          {shortfalls.filter((s) => s.windowLost).length} windows would be lost: more hands, or put work off.
        </p>
      )}
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
  const keep = useKeepWeeks();
  const clear = useClearWeeks();
  const how = shown === 'levelled' && !answer ? 'now' : shown;
  const plan = how === 'levelled' ? answer!.plan : null;
  const { placed, load } = useMemo(() => {
    if (!year) return { placed: new Map<string, number>(), load: [] };
    const weeks = plan
      ? new Map(plan.placed.map((p) => [p.id, p.week]))
      : weeksOf(year, how === 'alone' ? 'alone' : 'now');
    const parted = plan?.placed ?? (how === 'now' ? year.lines : []);
    return { placed: weeks, load: loadOf(year.problem, weeks, new Map(parted.map((p) => [p.id, p.later]))) };
  }, [year, how, plan]);
  if (!year) return <Loading error={error} />;
  const ahead = load.slice(0, year.shown);
  const over = ahead.reduce((n, l) => n + l.over, 0);
  const minutes = ahead.reduce((n, l) => n + l.all, 0);
  const steps = [...placed.values()].filter((w) => w < year.shown).length;
  const inWeek = year.lines.filter((l) => placed.get(l.id) === week);
  const level = () => {
    setShown('levelled');
    keep.reset();
    void start(year.problem);
  };
  const save = () =>
    keep.mutate(
      {
        weeks: answer!.plan.placed.map((p) => {
          const line = year.lines.find((l) => l.id === p.id)!;
          return { cohortId: line.cohortId, key: line.key, week: year.weeks[p.week], later: p.later };
        }),
      },
      {
        onSuccess: () => {
          forget();
          setShown('now');
        },
      },
    );
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
        <div className="flex flex-wrap items-center justify-between gap-3">
          <Plans how={how} levelled={answer !== null} choose={setShown} />
          <p className={over > 0 ? 'font-semibold text-accent' : 'soft'}>
            {over > 0 ? `${duration(over)} more than there are hours` : 'every week has the hours'}
          </p>
        </div>
        <Bars year={year} load={load} chosen={week} onChoose={setWeek} />
        {running && (
          <progress
            className="progress progress-primary w-full"
            value={answer?.progress ?? 0}
            max={1}
            aria-label="Levelling"
          />
        )}
        {how === 'levelled' && answer ? (
          <Levelled answer={answer} minutes={minutes} />
        ) : (
          <Lost year={year} weeks={placed} load={load} />
        )}
        <div className="flex flex-wrap gap-3">
          {answer && how === 'levelled' && (
            <button
              type="button"
              className="btn btn-primary btn-tall"
              disabled={running || keep.isPending}
              onClick={save}
            >
              {keep.isPending ? 'Planning again …' : 'Keep these weeks'}
            </button>
          )}
          {answer && how === 'levelled' && !running && (
            <button
              type="button"
              className="btn btn-ghost btn-tall border border-base-300"
              onClick={() => void prove(year.problem)}
            >
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
        short={how === 'levelled' && answer ? answer.shortfalls : []}
        kept={how === 'now'}
      />
      <People year={year} week={year.weeks[week]} />
      <Pace />
    </div>
  );
}
