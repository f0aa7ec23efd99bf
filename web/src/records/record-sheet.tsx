import { useRef, useState } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { newRecord, workOn, type NewRecord } from '@gonimos/contract/records';
import { CONTAINERS } from '@gonimos/core/containers';
import { operation } from '@gonimos/core/operations';
import { PlaceOptions } from '../nursery/place-options';
import { AddPicture } from '../pictures/pictures';
import { Failure, newId } from '../common/api';
import { faultsIn, faultsOf, showFaults } from '../common/check';
import { duration } from '../common/dates';
import { dropDraft, readDraft, useDraft } from '../common/draft';
import { Field, Trouble } from '../common/field';
import { Meant } from '../common/meant';
import { Sheet } from '../common/sheet';
import { LowGrowth } from './low-growth';
import { Losses, type LossInput } from './losses';
import { Outcome } from './outcome';
import { useTrays } from '../trays/queries';
import { useRecordWork } from './queries';

/** The step a record is about, as the round or the course shows it; null fields for a look between steps. */
export interface Recordable {
  cohortId: string;
  code: string;
  taxonId: string;
  stepKey: string | null;
  operation: string | null;
  title: string;
  live: number;
  pending: number;
  container: string | null;
  minutes: number;
  rootCut: { wanted: number; limit: number; take: number } | null;
  topCut: { wanted: number; take: number } | null;
  nextTime: string;
  /** the model's chance that a plant lives through it, 0..1; null when the work is not severe */
  odds: number | null;
}

interface Inputs {
  on: string;
  done: string;
  finished: boolean;
  emerged: string;
  /** each line keeps its id, so that sending again after silence is the same request */
  losses: LossInput[];
  container: string;
  calipers: string;
  heights: string;
  vigour: string;
  alive: string;
  sure: string;
  budsLooked: string;
  budsReady: string;
  placeId: string;
  lowGrowth: '' | 'seen' | 'none';
  minutes: string;
  note: string;
  nextTime: string;
  meant: boolean;
}

const numberOf = (text: string): number | null => {
  const t = text.trim().replace(',', '.');
  return t === '' ? null : Number(t);
};
const numbersOf = (text: string): number[] =>
  text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((t) => Number(t.replace(',', '.')));

const VIGOUR = ['1 failing', '2 weak', '3 fair', '4 strong', '5 rampant'];

function toRecord(id: string, s: Recordable, v: Inputs): NewRecord {
  return workOn({
    ...{ id, cohortId: s.cohortId, stepKey: s.stepKey, on: v.on },
    ...{ done: numberOf(v.done), finished: v.finished, emerged: numberOf(v.emerged) },
    losses: v.losses
      .filter((l) => l.count.trim() !== '')
      .map((l) => ({ id: l.id, kind: l.kind, count: Number(l.count), cause: l.cause })),
    ...{ container: v.container || null, calipers: numbersOf(v.calipers), heights: numbersOf(v.heights) },
    ...{ vigour: numberOf(v.vigour), minutes: numberOf(v.minutes) },
    ...{ note: v.note, nextTime: v.nextTime, alive: numberOf(v.alive) },
    sure: v.sure === '' ? null : Number(v.sure) / 100,
    buds:
      v.budsLooked.trim() === '' ? null : { looked: Number(v.budsLooked), ready: numberOf(v.budsReady) ?? 0 },
    placeId: v.placeId || null,
    lowGrowth: v.lowGrowth === '' ? null : v.lowGrowth === 'seen',
    meant: v.meant,
  });
}

/** Before severe work the grower says how sure they are; the two-week look settles it. */
function Sure({ form, odds }: { form: UseFormReturn<Inputs>; odds: number }) {
  const said = form.watch('sure');
  const model = Math.round(odds * 100);
  return (
    <Field
      label="How sure are you that a plant lives through this"
      hint={`the model says ${model} %; the two-week look settles who was nearer`}
    >
      <select className="select" {...form.register('sure')} value={said}>
        <option value="">not said</option>
        {[99, 95, 90, 80, 70, 50, 30].map((n) => (
          <option key={n} value={n}>
            {n} %
          </option>
        ))}
      </select>
    </Field>
  );
}

/** One sheet for whatever was done or found: counts, losses by cause, container, sizes, minutes, words. */
export function RecordSheet({
  step,
  today,
  onClose,
}: {
  step: Recordable;
  today: string;
  onClose: () => void;
}) {
  const op = step.operation ? operation(step.operation) : null;
  const asks = new Set(op?.asks ?? ['sizes']);
  const draftKey = `record ${step.cohortId} ${step.stepKey}`;
  const seed = step.live === 0 && step.pending > 0;
  const id = useRef(newId());
  const work = useRecordWork();
  const form = useForm<Inputs>({
    defaultValues: {
      on: today,
      done: '',
      finished: true,
      emerged: '',
      losses: [
        {
          id: newId(),
          kind: seed ? 'lost_before_emergence' : 'lost',
          count: '',
          cause: seed ? 'eaten' : 'unknown',
        },
      ],
      container: asks.has('container') ? (step.container ?? '') : '',
      ...{ calipers: '', heights: '', vigour: '', minutes: '', note: '', nextTime: '' },
      ...{ alive: '', sure: '', budsLooked: '', budsReady: '', placeId: '', lowGrowth: '', meant: false },
      ...readDraft<Inputs>(draftKey),
    },
  });
  useDraft(draftKey, form);
  const [fault, setFault] = useState<string | null>(null);
  const { errors } = form.formState;
  const trays = useTrays(step.cohortId, asks.has('emergence')).data;
  const inTrays = trays ? trays.ledger.pending - trays.outside.seed : 0;

  const send = form.handleSubmit((v) => {
    const record = toRecord(id.current, step, v);
    const faults = faultsOf(newRecord, record);
    setFault(showFaults(faults, v, form.setError).join('; ') || null);
    if (Object.keys(faults).length > 0) return;
    work.mutate(record, {
      onSuccess: () => dropDraft(draftKey),
      onError: (error) => {
        setFault(error.message);
        // an answer means this id is free again for a corrected record; silence means: send the same again
        if (error instanceof Failure && error.problem) id.current = newId();
        showFaults(faultsIn(error), v, form.setError);
      },
    });
  });

  if (work.data)
    return (
      <Sheet title={step.title} sub={step.code} onClose={onClose}>
        <div className="grid gap-5">
          <Outcome result={work.data} today={today} onClose={onClose} />
          <AddPicture cohortId={step.cohortId} record={work.data.recordId} />
        </div>
      </Sheet>
    );
  const number = { className: 'input', inputMode: 'numeric' as const, autoComplete: 'off' };
  return (
    <Sheet
      title={step.title}
      sub={`${step.code} · ${step.live > 0 ? `${step.live} alive` : `${step.pending} sown`}`}
      onClose={onClose}
      foot={
        <button
          type="submit"
          form="record"
          className="btn btn-primary btn-tall w-full text-lg"
          disabled={work.isPending}
        >
          {work.isPending ? 'Recording …' : 'Record'}
        </button>
      }
    >
      <form id="record" className="grid gap-5" onSubmit={send} noValidate>
        {op?.caution && (
          <p className="rounded-box bg-[var(--slip)] px-4 py-3">
            <strong>Mind:</strong> {op.caution} Local rules come first.
          </p>
        )}
        {step.nextTime && (
          <p className="rounded-box bg-[var(--cold)] px-4 py-3">
            <strong>Left from last time:</strong> {step.nextTime}
          </p>
        )}
        {step.rootCut && (
          <p>
            Take up to <strong>{Math.round(step.rootCut.take * 100)} %</strong> of the root; the limit today
            is {Math.round(step.rootCut.limit * 100)} %.
          </p>
        )}
        {step.topCut && (
          <p>
            Of the top no more than <strong>{Math.round(step.topCut.take * 100)} %</strong>, always down to a
            live branch or bud.
          </p>
        )}
        {fault && !errors.meant && <Trouble>{fault}</Trouble>}
        <Meant reason={errors.meant?.message} register={form.register('meant')} />
        <Field label="Day" error={errors.on?.message}>
          <input type="date" className="input" max={today} {...form.register('on')} />
        </Field>
        {asks.has('emergence') ? (
          <Field
            label={inTrays > 0 ? 'Up outside the trays' : 'Up'}
            hint={
              inTrays > 0
                ? `${inTrays} seeds lie in mapped trays: mark their cells instead`
                : `of ${step.pending} sown`
            }
            error={errors.emerged?.message}
          >
            <input {...number} {...form.register('emerged', { required: 'is missing: how many are up' })} />
          </Field>
        ) : (
          step.stepKey &&
          (op?.lane !== 'care' || asks.has('container')) && (
            <Field
              label="Plants done"
              hint={`of ${step.live}; leave empty for all`}
              error={errors.done?.message}
            >
              <input {...number} placeholder={String(step.live)} {...form.register('done')} />
            </Field>
          )
        )}
        {asks.has('alive') && (
          <Field
            label="Alive"
            hint={`of ${step.live}; what is missing is entered as died after the work`}
            error={errors.alive?.message}
          >
            <input {...number} placeholder={String(step.live)} {...form.register('alive')} />
          </Field>
        )}
        {step.odds !== null && <Sure form={form} odds={step.odds} />}
        <Losses form={form} pending={step.pending} />
        {asks.has('container') && (
          <Field label="Into" error={errors.container?.message}>
            <select className="select" {...form.register('container')}>
              {CONTAINERS.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                  {c.wall === 'ground'
                    ? ''
                    : `, ${c.litres < 1 ? c.litres.toFixed(2) : c.litres.toFixed(1)} L`}
                </option>
              ))}
            </select>
          </Field>
        )}
        {asks.has('sizes') && (
          <div className="grid gap-5 xs:grid-cols-2">
            <Field label="Calipers" hint="mm, a sample: 6.2 5.8 7" error={errors.calipers?.message}>
              <input className="input" autoComplete="off" {...form.register('calipers')} />
            </Field>
            <Field label="Heights" hint="mm" error={errors.heights?.message}>
              <input className="input" autoComplete="off" {...form.register('heights')} />
            </Field>
          </div>
        )}
        {(step.stepKey === null || op?.budsDecide) && (
          <fieldset className="grid grid-cols-2 gap-4">
            <legend className="mb-1 font-semibold">Bud stages, a walk-through</legend>
            <Field label="Looked at" error={errors.budsLooked?.message}>
              <input {...number} {...form.register('budsLooked')} />
            </Field>
            <Field label="Ready" hint="buds swollen or open" error={errors.budsReady?.message}>
              <input {...number} {...form.register('budsReady')} />
            </Field>
          </fieldset>
        )}
        {(op === null || op.lane === 'top') && (
          <LowGrowth taxonId={step.taxonId} field={form.register('lowGrowth')} />
        )}
        {(op?.exposes || op?.id === 'bring-in' || op?.moves) && (
          <Field label="Stands now at" hint="when the place changes with it">
            <select className="select" {...form.register('placeId')}>
              <option value="">where it stood</option>
              <PlaceOptions />
            </select>
          </Field>
        )}
        <div className="grid gap-5 xs:grid-cols-2">
          <Field
            label="Minutes"
            hint={step.minutes > 0 ? `planned ${duration(step.minutes)}` : undefined}
            error={errors.minutes?.message}
          >
            <input {...number} {...form.register('minutes')} />
          </Field>
          <Field label="Vigour" error={errors.vigour?.message}>
            <select className="select" {...form.register('vigour')}>
              <option value="">not judged</option>
              {VIGOUR.map((v, i) => (
                <option key={v} value={i + 1}>
                  {v}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <Field label="Note" error={errors.note?.message}>
          <textarea className="textarea" rows={2} {...form.register('note')} />
        </Field>
        <Field
          label="Next time"
          hint="comes back on the card at the next opening"
          error={errors.nextTime?.message}
        >
          <input className="input" autoComplete="off" {...form.register('nextTime')} />
        </Field>
        {step.stepKey && (
          <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" className="checkbox checkbox-primary" {...form.register('finished')} />
            This step is finished for the whole cohort
          </label>
        )}
      </form>
    </Sheet>
  );
}
