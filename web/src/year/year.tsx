import { useState } from 'react';
import { useMay } from '../people/session';
import { duration, shortDate } from '../common/dates';
import { InTurn } from '../common/after-paint';
import { Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { Bars } from './bars';
import { Pace } from './pace';
import { People } from './people';
import { useClearWeeks, useKeepWeeks, useYear, useYearView, yearWorker } from './queries';
import type { Levelled } from './worker';
import { useLevelling } from './use-levelling';
import { Routines } from './routines';
import { Verdict } from './verdict';
import type { Shown, YearHead } from './view';
import { Week } from './week';

/** Lines of a week shown at first. */
const FIRST_LINES = 30;
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

interface DoProps {
  year: YearHead;
  span: number;
  how: Shown;
  answer: Levelled | null;
  running: boolean;
  prove: () => void;
  /** the weeks were kept */
  onKept: () => void;
}

/** What may be done with the plan that is shown. */
function Doings({ year, span, how, answer, running, prove, onKept }: DoProps) {
  const may = useMay('grower');
  const keep = useKeepWeeks();
  const clear = useClearWeeks();
  const save = async () => keep.mutate({ weeks: await yearWorker().toKeep(span) }, { onSuccess: onKept });
  const levelled = how === 'levelled' ? answer : null;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        {levelled && (
          <button
            type="button"
            className="btn btn-primary btn-tall"
            disabled={running || keep.isPending}
            onClick={() => void save()}
          >
            {keep.isPending ? 'Planning again …' : 'Keep these weeks'}
          </button>
        )}
        {levelled && !running && (
          <button type="button" className="btn btn-ghost btn-tall border border-base-300" onClick={prove}>
            Prove it further
          </button>
        )}
        {may && how === 'now' && year.anyKept && (
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
  const [most, setMost] = useState(FIRST_LINES);
  const { answer, running, start, prove, stop, forget } = useLevelling(span, year?.stamp);
  const how = shown === 'levelled' && !answer ? 'now' : shown;
  const levelled = how === 'levelled' ? answer : null;
  const turn = levelled?.turn ?? 0;
  const { data: view, error: unseen } = useYearView(year, { weeks: span, how, turn, week, most });
  if (!year || !view) return <Loading error={error ?? unseen} />;
  const choose = (w: number) => {
    setWeek(w);
    setMost(FIRST_LINES);
  };
  const level = () => {
    setShown('levelled');
    start();
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 px-4 py-6 lg:px-6">
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">
          Year
          <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
            {view.steps} steps, {duration(view.minutes)} in {span} weeks
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
      <InTurn>
        <section className="card-plain grid grid-cols-[minmax(0,1fr)] gap-3 p-4">
          <Plans how={how} levelled={answer !== null} choose={setShown} />
          <Bars year={year} load={view.load} chosen={week} onChoose={choose} />
          {running && (
            <progress
              className="progress progress-primary w-full"
              value={answer?.progress ?? 0}
              max={1}
              aria-label="Levelling"
            />
          )}
          <Verdict year={year} load={view.load} short={view.short} levelled={levelled} />
          <Doings
            year={year}
            span={span}
            how={how}
            answer={answer}
            running={running}
            prove={prove}
            onKept={() => {
              forget();
              setShown('now');
            }}
          />
        </section>
        <label className="flex flex-wrap items-center gap-3 sm:hidden">
          Week
          <select className="select w-auto" value={week} onChange={(e) => choose(Number(e.target.value))}>
            {year.weeks.slice(0, year.shown).map((w, i) => (
              <option key={w} value={i}>
                {shortDate(w, year.today)}
              </option>
            ))}
          </select>
        </label>
        <Week year={year} week={week} view={view} kept={how === 'now'} onMore={() => setMost(most * 4)} />
        <People year={year} week={year.weeks[week]} />
        <Routines year={year} />
        <Pace />
      </InTurn>
    </div>
  );
}
