import { useState } from 'react';
import { newRoutine, ROUTINES, type RoutineKind } from '@gonimos/contract/year';
import { monthName } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { typed } from '../common/numbers';
import { Sheet } from '../common/sheet';
import { useSheetForm } from '../common/use-sheet-form';
import { PlaceOptions } from '../nursery/place-options';
import { usePlaceName } from '../nursery/queries';
import { useMay } from '../people/session';
import { useEndRoutine, useNewRoutine } from './queries';
import type { YearHead } from './view';

const MONTHS = Array.from({ length: 12 }, (_, i) => monthName(`2001-${String(i + 1).padStart(2, '0')}-15`));
const KIND_WORDS: Record<RoutineKind, string> = {
  watering: 'Watering',
  weeding: 'Weeding',
  spraying: 'Spraying',
  feeding: 'Feeding',
  other: 'Other routine',
};

const Months = () => (
  <>
    {MONTHS.map((m, i) => (
      <option key={m} value={i + 1}>
        {m}
      </option>
    ))}
  </>
);

function RoutineSheet({ onClose }: { onClose: () => void }) {
  const add = useNewRoutine();
  const { field, faults, submit } = useSheetForm({
    first: { what: 'watering', placeId: '', hours: '', fromMonth: '4', toMonth: '10' },
    schema: newRoutine,
    payload: (v) => ({
      what: v.what,
      placeId: v.placeId || null,
      hours: typed(v.hours),
      fromMonth: Number(v.fromMonth),
      toMonth: Number(v.toMonth),
    }),
    write: add,
    done: onClose,
  });
  return (
    <Sheet title="Routine hours" sub="they are taken off the hours of each week" onClose={onClose}>
      <form className="grid gap-5" noValidate onSubmit={submit}>
        {add.error && <Trouble>{add.error.message}</Trouble>}
        <Field label="What" error={faults.what}>
          <select className="select" {...field('what')}>
            {ROUTINES.map((r) => (
              <option key={r} value={r}>
                {KIND_WORDS[r]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Where" error={faults.placeId}>
          <select className="select" {...field('placeId')}>
            <option value="">everywhere</option>
            <PlaceOptions />
          </select>
        </Field>
        <Field label="Hours a week" error={faults.hours}>
          <input className="input" inputMode="decimal" autoComplete="off" {...field('hours')} />
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="From" error={faults.fromMonth}>
            <select className="select" {...field('fromMonth')}>
              <Months />
            </select>
          </Field>
          <Field label="To" error={faults.toMonth}>
            <select className="select" {...field('toMonth')}>
              <Months />
            </select>
          </Field>
        </div>
        <button className="btn btn-primary btn-tall" disabled={add.isPending}>
          Keep
        </button>
      </form>
    </Sheet>
  );
}

/** Watering, weeding and the like: hours that are no step of any course, by place and months. */
export function Routines({ year }: { year: YearHead }) {
  const [adding, setAdding] = useState(false);
  const may = useMay('grower');
  const end = useEndRoutine();
  const placeName = usePlaceName();
  return (
    <section>
      <header className="flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-xl">Routine hours</h2>
        {may && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => setAdding(true)}
          >
            Add
          </button>
        )}
      </header>
      {year.routines.length === 0 && (
        <p className="soft">
          Watering, weeding and spraying are no steps. What they take a week is best taken off the hours here.
        </p>
      )}
      {end.error && <Trouble>{end.error.message}</Trouble>}
      <ul className="divide-y divide-base-300">
        {year.routines.map((r) => (
          <li key={r.id} className="flex items-center gap-x-4 py-2">
            <span className="flex min-w-0 grow flex-wrap justify-between gap-x-4">
              <span>
                <strong>{KIND_WORDS[r.what]}</strong>,{' '}
                {r.placeId === null ? 'everywhere' : placeName(r.placeId)}
              </span>
              <span className="w-52 max-sm:w-full">
                {r.hours} h a week, {MONTHS[r.fromMonth - 1]} to {MONTHS[r.toMonth - 1]}
              </span>
            </span>
            {may && (
              <button
                type="button"
                className="btn btn-ghost border border-base-300"
                disabled={end.isPending}
                onClick={() => end.mutate(r.id)}
              >
                Take out
                <span className="sr-only">: {KIND_WORDS[r.what]}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {adding && <RoutineSheet onClose={() => setAdding(false)} />}
    </section>
  );
}
