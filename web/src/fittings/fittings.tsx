import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { FittingLine } from '@gonimos/contract/fittings';
import { workOn } from '@gonimos/contract/records';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { usePlaceName, useToday } from '../nursery/queries';
import { useRecordWork } from '../records/queries';
import { PutOnSheet } from './put-on-sheet';
import { OffSheet, type OffAnswer } from './off';
import { useFittings } from './queries';
import { TendSheet } from './tend-sheet';
import { whenWords } from './words';

const BUTTON = { looks: 'Look', 'takes off': 'Off', renews: 'Renew' };

function Line({ fitting: f, today, onTend }: { fitting: FittingLine; today: string; onTend: () => void }) {
  const placeName = usePlaceName();
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-0.5 py-2 sm:grid-cols-[14rem_1fr_9rem_auto]">
      <strong>
        {f.what}
        {f.note && <span className="soft font-normal"> {f.note}</span>}
      </strong>
      <span className="max-sm:row-start-2">
        <Link to={`/cohorts/${f.cohortId}`} className="font-bold underline underline-offset-4">
          {f.code}
        </Link>
        , {placeName(f.placeId)}
        {f.since && <span className="soft">, on since {shortDate(f.since, today)}</span>}
      </span>
      <span className={f.due < today ? 'font-semibold text-accent' : 'soft'}>{whenWords(f, today)}</span>
      <button type="button" className="btn w-24 border-primary bg-transparent text-primary" onClick={onTend}>
        {BUTTON[f.how]}
        <span className="sr-only">
          : {f.what}, {f.code}
        </span>
      </button>
    </li>
  );
}

/** Everything that is on plants and has a day to be looked at, renewed or gone. */
export function Fittings() {
  const { data, error } = useFittings();
  const today = useToday();
  const work = useRecordWork();
  const [search] = useSearchParams();
  const [tending, setTending] = useState<FittingLine | null>(null);
  const [putting, setPutting] = useState(false);
  const [off, setOff] = useState<FittingLine | null>(null);
  if (!data) return <Loading error={error} />;
  const what = search.get('what');
  const shown = what ? data.filter((f) => f.what === what) : data;
  const kinds = [...new Set(data.map((f) => f.what))].sort();
  const takeOff = (f: FittingLine, answer: OffAnswer | null) => {
    const { id: _, ...look } = workOn({ id: '', cohortId: f.cohortId, stepKey: null, on: today });
    const again = answer && 'again' in answer ? answer.again : null;
    const held = answer && 'held' in answer ? answer.held : false;
    const { what, note, stretch } = f;
    const fittings = {
      on: again ? [{ ...again, what, note, stretch }] : [],
      off: [f.id],
      kept: answer ? [{ id: f.id, held }] : [],
      tend: null,
    };
    work.mutate({ ...look, details: { fittings } }, { onSuccess: () => setOff(null) });
  };
  const tend = (f: FittingLine) => {
    if (f.stepKey !== null) setTending(f);
    else if (f.what === 'wire') setOff(f);
    else takeOff(f, null);
  };
  return (
    <div className="max-w-4xl px-4 py-5 lg:px-6">
      <header className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">On the plants</h1>
        <button type="button" className="btn btn-primary" onClick={() => setPutting(true)}>
          Put something on
        </button>
      </header>
      <p className="mb-4 flex flex-wrap gap-x-4 gap-y-1">
        <Link to="/fittings" className={what ? 'underline' : 'font-bold'}>
          all {data.length}
        </Link>
        {kinds.map((k) => (
          <Link key={k} to={`?what=${k}`} className={what === k ? 'font-bold' : 'underline'}>
            {k} {data.filter((f) => f.what === k).length}
          </Link>
        ))}
      </p>
      {work.error && !off && <Trouble>{work.error.message}</Trouble>}
      {shown.length === 0 && <p className="soft">Nothing is on the plants that has to go.</p>}
      <ul className="divide-y divide-base-300 border-y border-base-300">
        {shown.map((f) => (
          <Line key={f.id} fitting={f} today={today} onTend={() => tend(f)} />
        ))}
      </ul>
      {putting && <PutOnSheet today={today} onClose={() => setPutting(false)} />}
      {off && (
        <OffSheet
          fitting={off}
          today={today}
          busy={work.isPending}
          fault={work.error?.message}
          onSay={(answer) => takeOff(off, answer)}
          onClose={() => setOff(null)}
        />
      )}
      {tending?.stepKey && (
        <TendSheet
          cohortId={tending.cohortId}
          stepKey={tending.stepKey}
          today={today}
          onClose={() => setTending(null)}
        />
      )}
    </div>
  );
}
