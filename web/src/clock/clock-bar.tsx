import { Droplets, Square } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { mistAfter, type Air } from '@gonimos/core/pace';
import { taxon } from '@gonimos/core/taxa';
import { plural } from '@gonimos/core/words';
import type { Recordable } from '../records/asks';
import { useStation } from '../station/queries';
import { clockWords, mist, stopClock, useClock, type Running } from '../common/bench-clock';

const RecordStep = lazy(() => import('../course/record-step').then((m) => ({ default: m.RecordStep })));

/** Air of a mild day, where no station tells. */
const MILD: Air = { temperature: 18, humidity: 60 };
const SECOND = 1000;

/** The moment, each second while something counts. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), SECOND);
    return () => clearInterval(tick);
  }, []);
  return now;
}

/** How long roots have been bare, and when they want mist by kind and air. */
function Bare({ clock, now }: { clock: Running; now: number }) {
  const station = useStation().data;
  const air = station?.latest ?? MILD;
  const every = mistAfter(taxon(clock.step.taxonId), air);
  if (clock.wetted === null || every === null) return null;
  const bare = now - clock.wetted;
  const due = bare >= every * 60 * SECOND;
  return (
    <span className="flex items-center gap-2">
      <span className={due ? 'font-bold' : ''} role={due ? 'alert' : undefined}>
        {due ? 'Mist the roots' : 'Roots bare'} <span className="tabular-nums">{clockWords(bare)}</span>
        <span className="opacity-80"> of {plural(every, 'minute')}</span>
      </span>
      <button
        type="button"
        className={`btn min-h-13 gap-2 px-4 lg:min-h-10 ${due ? 'btn-warning' : 'border-neutral-content bg-transparent text-neutral-content'}`}
        onClick={() => mist()}
      >
        <Droplets size={20} aria-hidden="true" /> Misted
      </button>
    </span>
  );
}

/** The bench clock while it runs: what it counts, and one big button that ends it with a record. */
function Bar({ clock, onStop }: { clock: Running; onStop: () => void }) {
  const now = useNow();
  const { step } = clock;
  return (
    <div
      role="group"
      aria-label="Bench clock"
      className="no-print fixed inset-x-0 bottom-14 z-20 flex flex-wrap items-center gap-x-5 gap-y-2 bg-neutral px-4 py-2.5 text-neutral-content lg:bottom-0"
    >
      <span className="min-w-0 grow basis-40">
        <strong className="mr-3 font-head text-2xl tabular-nums">
          {clockWords(clock.before + now - clock.since)}
        </strong>
        {step.title}, {step.code}
      </span>
      <Bare clock={clock} now={now} />
      <button
        type="button"
        className="btn btn-primary min-h-16 grow gap-2 px-8 text-lg lg:min-h-11 lg:grow-0"
        onClick={onStop}
      >
        <Square size={20} aria-hidden="true" /> Stop
        <span className="sr-only"> the clock and record</span>
      </button>
    </div>
  );
}

/** Stands at the foot of every page while the clock runs. */
export function ClockBar({ today }: { today: string | undefined }) {
  const clock = useClock();
  const [record, setRecord] = useState<Recordable | null>(null);
  return (
    <>
      {clock && <Bar clock={clock} onStop={() => setRecord(stopClock() as Recordable | null)} />}
      {record && today && (
        <Suspense fallback={null}>
          <RecordStep step={record} today={today} onClose={() => setRecord(null)} />
        </Suspense>
      )}
    </>
  );
}
