import { plural } from '@gonimos/core/words';
import { Eye, ListChecks, Printer, TimerReset } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { operation } from '@gonimos/core/operations';
import type { RoundStep } from '@gonimos/contract/round';
import { usePlaceName } from '../nursery/queries';
import { useMay } from '../people/session';
import { dateSpan, duration, fromNow, weekdayDate } from '../common/dates';
import { Loading } from '../common/loading';
import { Why } from '../common/why';
import { usePlaceChoice } from '../season/place-choice';
import { Beside } from './beside';
import { Card, type Open } from './card';
import { Care } from './care';
import { FIRST_STEPS, useRound } from './queries';
import { Weather } from '../station/weather';

// sheets are fetched when the first of them is opened
const RecordStep = lazy(() => import('../course/record-step').then((m) => ({ default: m.RecordStep })));
const PutOffSheet = lazy(() => import('../records/put-off-sheet').then((m) => ({ default: m.PutOffSheet })));
const VisitSheet = lazy(() => import('../visits/visit-sheet').then((m) => ({ default: m.VisitSheet })));
const SeeSheet = lazy(() => import('../observations/see-sheet').then((m) => ({ default: m.SeeSheet })));
const BatchSheet = lazy(() => import('../moves/batch-sheet').then((m) => ({ default: m.BatchSheet })));
const ManySheet = lazy(() => import('./many-sheet').then((m) => ({ default: m.ManySheet })));

const recordable = (s: RoundStep) => ({ ...s, stepKey: s.key });
const idOf = (s: RoundStep) => s.cohortId + s.key;
const oneLine = (s: RoundStep) => s.chain !== null || (s.lane === 'care' && s.minutes < 30);

/** Work whose counts have to be told one cohort at a time is not recorded several at once. */
const alike = (s: RoundStep) =>
  !operation(s.operation).asks.some((a) => a === 'emergence' || a === 'rooted' || a === 'alive');

/** Places in the order of the window that closes first; in each, work with the same kit stands together. */
function byPlace(steps: RoundStep[]): [string, RoundStep[]][] {
  const groups = new Map<string, RoundStep[]>();
  for (const s of steps) groups.set(s.placeId, [...(groups.get(s.placeId) ?? []), s]);
  return [...groups].map(([place, list]) => {
    const first = new Map<string, number>();
    list.forEach((s, i) => first.has(s.operation) || first.set(s.operation, i));
    return [place, list.toSorted((a, b) => first.get(a.operation)! - first.get(b.operation)!)];
  });
}

type Extra = 'see' | 'batch' | 'many' | null;
const TOOL = 'no-print btn btn-outline gap-2 px-3';

export function Round() {
  const [most, setMost] = useState(FIRST_STEPS);
  const { data: round, error } = useRound(most);
  const placeName = usePlaceName();
  const may = useMay('grower');
  const [place] = usePlaceChoice();
  const [open, setOpen] = useState<Open>(null);
  const [extra, setExtra] = useState<Extra>(null);
  const [choosing, setChoosing] = useState(false);
  const [chosen, setChosen] = useState<Set<string>>(new Set());
  if (!round) return <Loading error={error} />;
  const { today, due, closing } = round;
  const work = due.filter((s) => !oneLine(s));
  const picked = due.filter((s) => chosen.has(idOf(s)));
  const choose = (s: RoundStep, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(idOf(s));
    else next.delete(idOf(s));
    setChosen(next);
  };
  const close = () => {
    setOpen(null);
    setExtra(null);
  };
  return (
    <div className="xl:grid xl:min-h-full xl:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="px-4 py-6 lg:px-6">
        <header className="mb-5 flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-3xl">
            {weekdayDate(today)}
            <span className="soft ml-3 font-sans text-base font-normal tracking-normal max-sm:ml-0 max-sm:block">
              {round.open} open{closing > 0 && `, ${closing} close within ten days`}
            </span>
          </h1>
          <span className="flex flex-wrap gap-2">
            <button type="button" className={TOOL} onClick={() => setExtra('see')}>
              <Eye size={18} /> I see …
            </button>
            <button
              type="button"
              className={`${TOOL} ${choosing ? 'btn-active' : ''}`}
              aria-pressed={choosing}
              onClick={() => {
                setChoosing(!choosing);
                setChosen(new Set());
              }}
            >
              <ListChecks size={18} /> Several
            </button>
            {may && (
              <button type="button" className={TOOL} onClick={() => setExtra('batch')}>
                <TimerReset size={18} /> Put off many
              </button>
            )}
            <button type="button" className={`${TOOL} max-sm:hidden`} onClick={() => window.print()}>
              <Printer size={18} /> Print
            </button>
          </span>
        </header>
        <Weather warnings={round.warnings} />
        {choosing && (
          <div className="card-plain sticky top-2 z-10 mb-4 flex flex-wrap items-center justify-between gap-3 px-4 py-3">
            <p aria-live="polite">
              {picked.length === 0
                ? 'Choose steps that were done alike: all plants, nothing lost.'
                : `${picked.length} chosen`}
            </p>
            <button
              type="button"
              className="btn btn-primary btn-tall"
              disabled={picked.length === 0}
              onClick={() => setExtra('many')}
            >
              Record them at once
            </button>
          </div>
        )}
        {due.length === 0 && (
          <p className="card-plain soft p-6 text-lg">
            Nothing is due today.{' '}
            {round.soon[0] ? (
              `The next window opens ${fromNow(round.soon[0].opens, today)}: ${round.soon[0].code}, ${round.soon[0].title}.`
            ) : (
              <Link to="/cohorts/new" className="underline">
                Start a cohort
              </Link>
            )}
          </p>
        )}
        {byPlace(work).map(([id, steps]) => (
          <section key={id} className="mb-6">
            <h2 className="mb-2 text-xl">
              {placeName(id)}
              <span className="soft ml-3 font-sans text-base font-normal">
                {plural(steps.length, 'step')}, {duration(steps.reduce((n, s) => n + s.minutes, 0))}
              </span>
            </h2>
            <ul className="grid gap-2.5">
              {steps.map((s) => (
                <Card
                  key={idOf(s)}
                  step={s}
                  today={today}
                  open={setOpen}
                  chosen={choosing && alike(s) ? chosen.has(idOf(s)) : null}
                  onChoose={(on) => choose(s, on)}
                />
              ))}
            </ul>
          </section>
        ))}
        <Care steps={due.filter(oneLine)} today={today} open={setOpen} />
        {due.length < round.open && (
          <button
            type="button"
            className="no-print btn btn-outline btn-tall"
            onClick={() => setMost(most * 2)}
          >
            Show more of the {round.open}
          </button>
        )}
      </div>
      <Beside round={round} />
      <Suspense fallback={null}>
        {open?.kind === 'record' && <RecordStep step={recordable(open.step)} today={today} onClose={close} />}
        {open?.kind === 'put off' && (
          <PutOffSheet step={recordable(open.step)} today={today} onClose={close} />
        )}
        {open?.kind === 'found' && (
          <VisitSheet cohort={open.step} step={open.step} today={today} onClose={close} />
        )}
        {extra === 'see' && place && <SeeSheet placeId={place} today={today} onClose={close} />}
        {extra === 'batch' && <BatchSheet today={today} onClose={close} />}
        {extra === 'many' && <ManySheet steps={picked} today={today} onClose={close} />}
      </Suspense>
      {open?.kind === 'why' && (
        <Why
          title={`${open.step.code} · ${open.step.title}, ${dateSpan(open.step.opens, open.step.closes, today)}`}
          reasons={open.step.reasons}
          today={today}
          onClose={close}
        />
      )}
    </div>
  );
}
