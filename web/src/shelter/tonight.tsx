import { Snowflake, Thermometer, Wind } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Sheltered } from '@gonimos/contract/shelter';
import { addDays } from '@gonimos/core/calendar';
import type { Warning } from '@gonimos/core/station';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { CarrySheet } from './carry-sheet';
import { useCarryIn, useCarryOut } from './queries';
import { inUnits } from '../common/units';

const ICONS = { frost: Snowflake, heat: Thermometer, wind: Wind };
const LOOK = {
  frost: 'border-info bg-[var(--cold)]',
  heat: 'border-accent bg-[var(--due)]',
  wind: 'border-warning bg-[var(--slip)]',
};
const MOST = 3;
const ACT = 'btn btn-sm min-h-11 lg:min-h-9 border-info bg-transparent text-info px-3';

function Line({ warning: w, today, onSome }: { warning: Warning; today: string; onSome: () => void }) {
  const carry = useCarryIn();
  const Icon = ICONS[w.kind];
  const asks = w.kind === 'frost' && w.carried;
  return (
    <li className={`border-l-4 px-3 py-2 ${LOOK[w.kind]}`}>
      <p className="flex items-start gap-2">
        <Icon size={18} className="mt-0.5 shrink-0" aria-label={w.kind} />
        <span className={w.sure === 'expected' ? 'font-semibold' : ''}>{inUnits(w.text)}</span>
      </p>
      {carry.error && <Trouble>{carry.error.message}</Trouble>}
      {asks && (
        <p className="no-print mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className={ACT}
            disabled={carry.isPending}
            // out again on the morning after the cold night
            onClick={() =>
              carry.mutate({ cohortIds: w.cohortIds, until: addDays(w.day > today ? w.day : today, 1) })
            }
          >
            Brought in
          </button>
          <button type="button" className={`${ACT} border-transparent underline`} onClick={onSome}>
            some, or for longer
          </button>
        </p>
      )}
    </li>
  );
}

function Inside({ sheltered, today }: { sheltered: readonly Sheltered[]; today: string }) {
  const out = useCarryOut();
  if (sheltered.length === 0) return null;
  return (
    <li className="border-l-4 border-info bg-base-100 px-3 py-2">
      <p className="font-semibold">Brought in</p>
      {out.error && <Trouble>{out.error.message}</Trouble>}
      <ul>
        {sheltered.map((s) => (
          <li key={s.cohortId} className="flex items-center justify-between gap-3 py-1">
            <span>
              <Link to={`/cohorts/${s.cohortId}`} className="font-bold">
                {s.code}
              </Link>
              , {s.plants}
              <span className={`block text-sm ${s.until <= today ? 'font-semibold text-accent' : 'soft'}`}>
                out again {shortDate(s.until, today)}
              </span>
            </span>
            <button
              type="button"
              className={`${ACT} no-print`}
              disabled={out.isPending}
              onClick={() => out.mutate({ cohortIds: [s.cohortId] })}
            >
              Out<span className="sr-only"> again: {s.code}</span>
            </button>
          </li>
        ))}
      </ul>
    </li>
  );
}

interface Props {
  warnings: readonly Warning[];
  sheltered: readonly Sheltered[];
  today: string;
}

/** What the weather ahead asks for, with the answer to it; and what stands inside until it goes out again. */
export function Tonight({ warnings, sheltered, today }: Props) {
  const [some, setSome] = useState<Warning | null>(null);
  if (warnings.length === 0 && sheltered.length === 0) return null;
  return (
    <ul className="grid gap-2" aria-label="Weather warnings">
      {warnings.slice(0, MOST).map((w) => (
        <Line key={w.text} warning={w} today={today} onSome={() => setSome(w)} />
      ))}
      {warnings.length > MOST && (
        <li className="soft px-3">
          and {warnings.length - MOST} more, on the{' '}
          <Link to="/season" className="underline">
            season page
          </Link>
        </li>
      )}
      <Inside sheltered={sheltered} today={today} />
      {some && <CarrySheet warning={some} today={today} onClose={() => setSome(null)} />}
    </ul>
  );
}
