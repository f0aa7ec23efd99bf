import { Eye, ListChecks, Printer, TimerReset } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { MissedStep, Round as RoundData, RoundStep } from '@gonimos/contract/round';
import { dateSpan, duration, fromNow, weekdayDate } from '../common/dates';
import { AfterPaint, useInTurn } from '../common/after-paint';
import { Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { Why } from '../common/why';
import { BedRow } from '../beds/beds';
import { useBedChoice } from '../beds/bed-choice';
import { forgetClock } from '../common/bench-clock';
import { useKeys } from '../common/keys';
import { MeanwhileLine } from '../meanwhile/line';
import { MissedList } from '../missed/missed-list';
import { usePlaceName } from '../nursery/queries';
import { useMay } from '../people/session';
import { useRecordWork } from '../records/queries';
import { usePlaceChoice } from '../season/place-choice';
import { Beside } from './beside';
import { firstOf, groupsOf, type Group } from './groups';
import { FIRST_STEPS, useRound } from './queries';
import { isUsual, recordable, usualResult } from './quick';
import { StepRow, type Deed } from './row';

// sheets are fetched when the first of them is opened
const RecordStep = lazy(() => import('../course/record-step').then((m) => ({ default: m.RecordStep })));
const PutOffSheet = lazy(() => import('../records/put-off-sheet').then((m) => ({ default: m.PutOffSheet })));
const VisitSheet = lazy(() => import('../visits/visit-sheet').then((m) => ({ default: m.VisitSheet })));
const SeeSheet = lazy(() => import('../observations/see-sheet').then((m) => ({ default: m.SeeSheet })));
const BatchSheet = lazy(() => import('../moves/batch-sheet').then((m) => ({ default: m.BatchSheet })));
const ManySheet = lazy(() => import('./many-sheet').then((m) => ({ default: m.ManySheet })));

/** Steps that are put on the page at once. */
const AT_ONCE = 8;

const idOf = (s: RoundStep) => s.cohortId + s.key;

/** The sheet that is open over the round. */
type Open = { kind: Exclude<Deed, 'all'>; step: RoundStep } | { kind: 'see' | 'batch' | 'many' } | null;

const TOOL = 'no-print btn btn-ghost btn-sm min-h-11 gap-1 px-1.5 lg:min-h-8';

/** What is recorded several at once: chosen by hand, until they are. */
function useChosen(due: readonly RoundStep[]) {
  const [choosing, setChoosing] = useState(false);
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const choose = (s: RoundStep, on: boolean) => {
    const next = new Set(ids);
    if (on) next.add(idOf(s));
    else next.delete(idOf(s));
    setIds(next);
  };
  return {
    choosing,
    picked: due.filter((s) => ids.has(idOf(s))),
    has: (s: RoundStep) => ids.has(idOf(s)),
    choose,
    start: () => {
      setChoosing(true);
    },
    flip: () => {
      setChoosing(!choosing);
      setIds(new Set());
    },
  };
}

/** The step one is at: the first until another is gone to, by a key or a touch. */
function useCurrent(steps: readonly RoundStep[]) {
  const [id, setId] = useState<string | null>(null);
  const at = Math.max(
    0,
    steps.findIndex((s) => idOf(s) === id),
  );
  const go = (by: number) => {
    const next = steps[Math.min(steps.length - 1, Math.max(0, at + by))];
    if (next) setId(idOf(next));
  };
  return { current: steps[at] as RoundStep | undefined, go, set: (s: RoundStep) => setId(idOf(s)) };
}

/** The sheet over the round. */
function Sheets({
  open,
  picked,
  today,
  onClose,
}: {
  open: Open;
  picked: RoundStep[];
  today: string;
  onClose: () => void;
}) {
  const [place] = usePlaceChoice();
  if (!open) return null;
  const p = { today, onClose };
  if (open.kind === 'why')
    return (
      <Why
        title={`${open.step.code} · ${open.step.title}, ${dateSpan(open.step.opens, open.step.closes, today)}`}
        reasons={open.step.reasons}
        {...p}
      />
    );
  return (
    <Suspense fallback={null}>
      {open.kind === 'record' && <RecordStep step={recordable(open.step)} {...p} />}
      {open.kind === 'put off' && <PutOffSheet step={recordable(open.step)} {...p} />}
      {open.kind === 'found' && <VisitSheet cohort={open.step} step={open.step} {...p} />}
      {open.kind === 'see' && place && <SeeSheet placeId={place} {...p} />}
      {open.kind === 'batch' && <BatchSheet {...p} />}
      {open.kind === 'many' && <ManySheet steps={picked} {...p} />}
    </Suspense>
  );
}

function NothingDue({ round }: { round: RoundData }) {
  const next = round.soon[0];
  return (
    <p className="soft border-y border-base-300 py-5 text-lg">
      Nothing is due today.{' '}
      {next ? (
        `The next window opens ${fromNow(next.opens, round.today)}: ${next.code}, ${next.title}.`
      ) : (
        <Link to="/cohorts/new" className="underline">
          Start a cohort
        </Link>
      )}
    </p>
  );
}

const GroupHead = ({ group }: { group: Group }) => (
  <h2 className="mt-3 border-b border-base-300 pb-1 text-[1.05rem] lg:mt-1.5 lg:pb-0.5">
    {group.name}
    <span className="soft ml-2.5 font-sans text-[0.94rem] font-normal">{duration(group.minutes)}</span>
  </h2>
);

export function Round() {
  const [most, setMost] = useState(FIRST_STEPS);
  const { data: round, error } = useRound(most);
  if (!round) return <Loading error={error} />;
  return <RoundOf round={round} onMore={() => setMost(most * 2)} />;
}

/** The round of a day, of the whole nursery or of one bed. */
function RoundOf({ round, onMore }: { round: RoundData; onMore: () => void }) {
  const { today } = round;
  const placeName = usePlaceName();
  const may = useMay('grower');
  const go = useNavigate();
  const quick = useRecordWork();
  const [bed] = useBedChoice();
  const [open, setOpen] = useState<Open>(null);
  const here = useMemo(() => {
    const stands = (s: RoundStep) => bed === null || s.placeId === bed;
    return { due: round.due.filter(stands), missed: round.missed.filter(stands) };
  }, [round, bed]);
  const groups = useMemo(() => groupsOf(here.due, placeName), [here.due, placeName]);
  const steps = useMemo(() => groups.flatMap((g) => g.steps), [groups]);
  const drawn = useInTurn(steps.length, AT_ONCE);
  const at = useCurrent(steps);
  const several = useChosen(here.due);
  const act = (step: RoundStep, deed: Deed) => {
    if (deed !== 'all') setOpen({ kind: deed, step });
    else if (isUsual(step))
      quick.mutate(usualResult(step, today), { onSuccess: () => forgetClock(recordable(step)) });
    else setOpen({ kind: 'record', step });
  };
  const onCurrent = (deed: Deed) => () => at.current && act(at.current, deed);
  useKeys({
    j: () => at.go(1),
    k: () => at.go(-1),
    a: onCurrent('all'),
    r: onCurrent('record'),
    f: onCurrent('found'),
    w: onCurrent('why'),
    i: () => setOpen({ kind: 'see' }),
    o: () => at.current && void go(`/cohorts/${at.current.cohortId}`),
    x: () => {
      if (!at.current || !isUsual(at.current)) return;
      several.start();
      several.choose(at.current, !several.has(at.current));
    },
    ...(may ? { n: onCurrent('put off') } : {}),
  });
  const groupOn = (g: Group) => (
    <section key={g.name}>
      <GroupHead group={g} />
      <ul>
        {g.steps.map((s) => (
          <StepRow
            key={idOf(s)}
            step={s}
            today={today}
            where={g.mixed ? placeName(s.placeId) : null}
            current={s === at.current}
            onCurrent={() => at.set(s)}
            act={(deed) => act(s, deed)}
            chosen={several.choosing && isUsual(s) ? several.has(s) : null}
            onChoose={(on) => several.choose(s, on)}
          />
        ))}
      </ul>
    </section>
  );
  const closing = here.due.filter((s) => s.closes <= round.closingBy).length;
  return (
    <div className="xl:grid xl:min-h-full xl:grid-cols-[minmax(0,1fr)_17.5rem]">
      <div className="px-4 py-3 lg:px-6 lg:py-4">
        <header className="mb-1 flex flex-wrap items-center justify-between gap-x-3 gap-y-1.5">
          <h1 className="text-2xl lg:text-[1.7rem]">
            {weekdayDate(today)}
            <span className="soft ml-3 font-sans text-base font-normal tracking-normal">
              {bed === null ? round.open : here.due.length} open
              {closing > 0 && <span className="max-sm:hidden">, {closing} closing</span>}
            </span>
          </h1>
          <Tools
            choosing={several.choosing}
            flip={several.flip}
            open={(kind) => setOpen({ kind })}
            may={may}
            bed={bed}
          />
        </header>
        <BedRow />
        <MeanwhileLine missed={round.missedInAll} />
        <MissedList
          steps={here.missed}
          inAll={bed === null ? round.missedInAll : here.missed.length}
          today={today}
          onRecord={(m: MissedStep) => setOpen({ kind: 'record', step: m })}
        />
        {quick.error && <Trouble>{quick.error.message}</Trouble>}
        {several.choosing && (
          <div className="sticky top-2 z-10 mb-3 flex flex-wrap items-center justify-between gap-3 rounded-box bg-neutral px-4 py-2 text-neutral-content">
            <p aria-live="polite">
              {several.picked.length === 0
                ? 'Choose steps that were done alike.'
                : `${several.picked.length} chosen`}
            </p>
            <button
              type="button"
              className="btn btn-primary"
              disabled={several.picked.length === 0}
              onClick={() => setOpen({ kind: 'many' })}
            >
              Record them at once
            </button>
          </div>
        )}
        {here.due.length === 0 && <NothingDue round={round} />}
        {firstOf(groups, drawn).map(groupOn)}
        {round.due.length < round.open && (
          <button type="button" className="no-print btn btn-outline btn-tall mt-4" onClick={onMore}>
            Show more of the {round.open}
          </button>
        )}
      </div>
      <AfterPaint>
        <Beside round={round} />
      </AfterPaint>
      <Sheets open={open} picked={several.picked} today={today} onClose={() => setOpen(null)} />
    </div>
  );
}

interface ToolsProps {
  choosing: boolean;
  flip: () => void;
  open: (what: 'see' | 'batch') => void;
  may: boolean;
  /** the place the round is narrowed to */
  bed: string | null;
}

/** What is done with the round as a whole. */
function Tools({ choosing, flip, open, may, bed }: ToolsProps) {
  return (
    <span className="flex flex-wrap gap-x-1">
      <button type="button" className={TOOL} onClick={() => open('see')}>
        <Eye size={17} aria-hidden="true" /> I see …
      </button>
      <button
        type="button"
        className={`${TOOL} max-sm:hidden ${choosing ? 'btn-active' : ''}`}
        aria-pressed={choosing}
        onClick={flip}
      >
        <ListChecks size={17} aria-hidden="true" /> Several
      </button>
      {may && (
        <button type="button" className={`${TOOL} max-sm:hidden`} onClick={() => open('batch')}>
          <TimerReset size={17} aria-hidden="true" /> Put off many
        </button>
      )}
      <a
        className={`${TOOL} max-sm:hidden`}
        href={`/api/round/sheet${bed === null ? '' : `?place=${bed}`}`}
        target="_blank"
        rel="noreferrer"
      >
        <Printer size={17} aria-hidden="true" /> Bench sheet
      </a>
    </span>
  );
}
