import type { Worker } from '@gonimos/contract/year';
import { useMay } from '../people/session';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { typed, typedOrNull } from '../common/numbers';
import { useAbsence, useHours } from './queries';
import type { YearHead } from './view';

function Person({ worker, week, today }: { worker: Worker; week: string; today: string }) {
  const owner = useMay('owner');
  const grower = useMay('grower');
  const hours = useHours();
  const absence = useAbsence();
  const away = worker.absences.find((a) => a.week === week);
  const kept = { id: worker.id, version: worker.version, hours: worker.hours, skilled: worker.skilled };
  const error = hours.error ?? absence.error;
  return (
    <li className="grid gap-x-5 gap-y-2 py-3 sm:grid-cols-[1fr_7rem_9rem_11rem] sm:items-center">
      <span>
        <strong>{worker.name}</strong> <span className="soft">{worker.role}</span>
        {worker.pace !== 1 && (
          <span className="soft block text-sm">
            {Math.round(Math.abs(worker.pace - 1) * 100)} % {worker.pace > 1 ? 'longer' : 'quicker'} than
            usual, by the clock
          </span>
        )}
      </span>
      <label className="flex items-center gap-2">
        <input
          className="input w-20"
          inputMode="numeric"
          aria-label={`Hours a week of ${worker.name}`}
          defaultValue={worker.hours}
          disabled={!owner}
          key={`${worker.id} ${worker.hours}`}
          onBlur={(e) => {
            const n = typed(e.target.value);
            // nobody means no hours by clearing the field: that is told with a 0
            if (n === undefined) e.target.value = String(worker.hours);
            else if (n !== worker.hours) hours.mutate({ ...kept, hours: n });
          }}
        />
        h
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-primary"
          checked={worker.skilled}
          disabled={!owner}
          onChange={(e) => hours.mutate({ ...kept, skilled: e.target.checked })}
        />
        has practice
      </label>
      <label className="flex items-center gap-2">
        <span className="soft text-sm whitespace-nowrap">{shortDate(week, today)}:</span>
        <input
          className="input w-20"
          inputMode="numeric"
          placeholder={String(worker.hours)}
          aria-label={`Hours of ${worker.name} in the week of ${shortDate(week, today)}`}
          defaultValue={away?.hours ?? ''}
          disabled={!grower}
          key={`${worker.id} ${week} ${away?.hours}`}
          onBlur={(e) => {
            const next = typedOrNull(e.target.value);
            if (next !== (away?.hours ?? null))
              absence.mutate({ id: worker.id, week, hours: next, was: away?.hours ?? null });
          }}
        />
        h
      </label>
      {error && <Trouble>{error.message}</Trouble>}
    </li>
  );
}

/** Who gives how many hours, and who is away in the week chosen. */
export function People({ year, week }: { year: YearHead; week: string }) {
  return (
    <section>
      <h2 className="text-xl">Hands</h2>
      <p className="soft">Hours of an ordinary week, and of the week chosen where they differ.</p>
      <ul className="divide-y divide-base-300">
        {year.people.map((p) => (
          <Person key={p.id} worker={p} week={week} today={year.today} />
        ))}
      </ul>
    </section>
  );
}
