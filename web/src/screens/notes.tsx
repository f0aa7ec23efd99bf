import { FIND_WORDS } from '../layers/words';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { RecordRow } from '@gonimos/contract/records';
import { container } from '@gonimos/core/containers';
import { useUndo } from '../common/undo';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { useRecords } from '../records/queries';
import { duration, shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { percent, plural } from '@gonimos/core/words';
import { DECISIONS, FOUND } from '@gonimos/core/visits';
import { Pictures } from '../pictures/pictures';
import { Causes } from '../visits/causes';
import { length } from '../common/units';

const KIND_WORDS: Record<RecordRow['kind'], string> = {
  work: '',
  look: '',
  'put off': 'Put off: ',
  visit: 'Found something: ',
  moved: 'Set by hand: ',
  released: '',
  missed: 'Missed: ',
  lapsed: 'Lapsed: ',
  'let go': 'Let go: ',
};

/** Takes a record back, later than the minute after it: asked once more before it is done. */
function TakeBack({ record }: { record: RecordRow }) {
  const undo = useUndo();
  const may = useMay('grower');
  const [sure, setSure] = useState(false);
  if (!may || record.kind === 'missed' || record.kind === 'lapsed') return null;
  const quiet = 'btn btn-ghost btn-sm no-print min-h-11 px-2 underline lg:min-h-8';
  if (!sure)
    return (
      <button type="button" className={quiet} onClick={() => setSure(true)}>
        Undo<span className="sr-only"> {record.title}</span> …
      </button>
    );
  return (
    <>
      {undo.error && <span className="font-semibold text-error">{undo.error.message}</span>}
      <button
        type="button"
        className={`${quiet} text-error`}
        disabled={undo.isPending}
        onClick={() => undo.mutate(record.id)}
      >
        Take it back: its losses and counts are reversed, and the course is planned again
      </button>
      <button type="button" className={quiet} onClick={() => setSure(false)}>
        Leave it
      </button>
    </>
  );
}

/** What a record tells in figures, subject by subject. */
function factsOf(r: RecordRow, today: string): string[] {
  const { potting, sizes, looks, survival, fittings, layer, pace } = r.details;
  const tend = fittings?.tend;
  return [
    r.done !== null && plural(r.done, 'plant'),
    tend && `stays on ${tend.stays}, off ${tend.off}, biting ${tend.biting}`,
    layer?.found && FIND_WORDS[layer.found],
    layer?.split && 'base split',
    pace && pace.bare !== null && `roots bare up to ${duration(pace.bare)}`,
    potting && `into ${container(potting.container).name}`,
    sizes && sizes.caliper !== null && `caliper ${length(sizes.caliper, 1)}`,
    sizes && sizes.height !== null && `height ${length(sizes.height)}`,
    looks && looks.vigour !== null && `vigour ${looks.vigour}`,
    r.until !== null && `until ${shortDate(r.until, today)}`,
    survival && survival.alive !== null && `${survival.alive} of ${survival.of} alive`,
    survival && survival.sure !== null && `grower ${percent(survival.sure)} sure`,
    survival && survival.odds !== null && `model ${percent(survival.odds)}`,
    r.minutes !== null && duration(r.minutes),
  ].filter((fact) => typeof fact === 'string');
}

/** Everything recorded of the cohort, newest first. */
export function NotesPart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data, error } = useRecords(cohort.id);
  if (!data) return <Loading error={error} />;
  return (
    <div className="grid gap-8">
      <Pictures cohortId={cohort.id} today={today} />
      <ol className="max-w-3xl divide-y divide-base-300">
        {data.map((r) => {
          const facts = factsOf(r, today);
          const { visit } = r.details;
          return (
            <li
              key={r.id}
              className={`grid gap-x-5 py-3 sm:grid-cols-[7rem_1fr] ${r.undone ? 'line-through opacity-70' : ''}`}
            >
              <span className="soft">{shortDate(r.on, today)}</span>
              <div>
                <p>
                  <strong>
                    {KIND_WORDS[r.kind]}
                    {r.title}
                  </strong>
                  {r.undone && <span className="sr-only"> (undone)</span>}
                  {facts.length > 0 && <span className="soft">, {facts.join(', ')}</span>}
                </p>
                {visit && visit.found.length > 0 && (
                  <p>
                    Found: {visit.found.map((f) => FOUND[f]).join(', ')}.{' '}
                    <strong>{DECISIONS[visit.decision]}.</strong>
                    {visit.checkOn && ` Look again ${shortDate(visit.checkOn, today)}.`}
                  </p>
                )}
                {r.note && <p>{r.note}</p>}
                {visit && visit.causes.length > 0 && <Causes causes={visit.causes} />}
                {r.nextTime && <p className="text-info">Next time: {r.nextTime}</p>}
                <p className="soft flex flex-wrap items-center gap-x-3 text-sm">
                  {r.by}
                  {!r.undone && <TakeBack record={r} />}
                </p>
              </div>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
