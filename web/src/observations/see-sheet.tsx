import { DayInput } from '../common/day-input';
import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import type { ObservationOutcome } from '@gonimos/contract/observations';
import { OBSERVATIONS, OBSERVATION_KINDS, type ObservationKind } from '@gonimos/core/season';
import { taxaByName } from '@gonimos/core/taxa';
import { useRegister } from '../cohorts/queries';
import { PlaceOptions } from '../nursery/place-options';
import { shortDate } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useObserve, useWithdraw } from './queries';

/** "I see this today": fixes this year's marker at the place, and teaches what the kind is like here. */
export function SeeSheet({
  placeId,
  today,
  onClose,
}: {
  placeId: string;
  today: string;
  onClose: () => void;
}) {
  const observe = useObserve();
  const rows = useRegister().data ?? [];
  const [v, set] = useState({ placeId, kind: '' as ObservationKind | '', taxonId: '', on: today, note: '' });
  const here = new Set(rows.filter((r) => r.placeId === v.placeId && r.growing).map((r) => r.taxonId));
  const kinds = taxaByName().filter((t) => here.has(t.id));
  const done = observe.data;
  if (done) return <Seen answer={done} today={today} onClose={onClose} />;
  return (
    <Sheet title="I see this today" onClose={onClose}>
      <form
        className="grid gap-5"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          if (!v.kind) return;
          observe.mutate({ ...v, kind: v.kind, taxonId: v.taxonId || null });
        }}
      >
        {observe.error && <Trouble>{observe.error.message}</Trouble>}
        <fieldset className="grid gap-2">
          <legend className="mb-1 font-semibold">What</legend>
          <div className="grid gap-2 xs:grid-cols-2">
            {OBSERVATION_KINDS.map((k) => (
              <label
                key={k}
                className={`flex min-h-13 cursor-pointer items-center gap-3 rounded-box border px-3 ${v.kind === k ? 'border-primary bg-[var(--celadon)]' : 'border-base-300'}`}
              >
                <input
                  type="radio"
                  className="radio radio-primary"
                  name="kind"
                  checked={v.kind === k}
                  onChange={() => set({ ...v, kind: k })}
                />
                {OBSERVATIONS[k].name}
              </label>
            ))}
          </div>
        </fieldset>
        <Field label="Where">
          <select
            className="select"
            value={v.placeId}
            onChange={(e) => set({ ...v, placeId: e.target.value })}
          >
            <PlaceOptions />
          </select>
        </Field>
        <Field
          label="On"
          hint="one kind fixes its own marker; other kinds there follow by what is known of each"
        >
          <select
            className="select"
            value={v.taxonId}
            onChange={(e) => set({ ...v, taxonId: e.target.value })}
          >
            <option value="">everything here</option>
            {kinds.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Day">
          <DayInput max={today} value={v.on} onChange={(day) => set({ ...v, on: day })} />
        </Field>
        <Field label="Note">
          <input className="input" value={v.note} onChange={(e) => set({ ...v, note: e.target.value })} />
        </Field>
        <button className="btn btn-primary btn-tall text-lg" disabled={observe.isPending || !v.kind}>
          {observe.isPending ? 'Planning again …' : 'Record it'}
        </button>
      </form>
    </Sheet>
  );
}

/** What was seen, and which courses it has moved. */
function Seen({
  answer,
  today,
  onClose,
}: {
  answer: ObservationOutcome;
  today: string;
  onClose: () => void;
}) {
  const back = useWithdraw();
  return (
    <Sheet title={`${OBSERVATIONS[answer.observation.kind].name}, seen`} onClose={onClose}>
      <div className="grid gap-4" aria-live="polite">
        <p className="text-lg">
          {answer.cohorts === 0 ? 'No course moved.' : `${plural(answer.cohorts, 'course')} moved.`}
          {answer.observation.expected && (
            <>
              {' '}
              The model had expected <strong>{shortDate(answer.observation.expected, today)}</strong>; the
              difference teaches what this kind is like here.
            </>
          )}
        </p>
        <ul className="divide-y divide-base-300">
          {answer.moved.map((m) => (
            <li key={m.code + m.title} className="py-2">
              <strong>{m.code}</strong> {m.title}
              <span className="soft block text-sm">
                opens <s>{m.wasOpens ? shortDate(m.wasOpens, today) : 'no date'}</s> →{' '}
                {m.nowOpens ? shortDate(m.nowOpens, today) : 'no date'}
              </span>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-primary btn-tall grow" onClick={onClose}>
            Back
          </button>
          <button
            type="button"
            className="btn btn-outline btn-tall"
            disabled={back.isPending}
            onClick={() => back.mutate(answer.observation.id, { onSuccess: onClose })}
          >
            Take it back
          </button>
        </div>
        {back.error && <Trouble>{back.error.message}</Trouble>}
      </div>
    </Sheet>
  );
}
