import { useState, type ReactNode } from 'react';
import { FormDay } from '../common/form-day';
import { get, type FieldErrors, type UseFormReturn } from 'react-hook-form';
import { Link } from 'react-router';
import { leftOf, newRecord, workOn, type NewRecord } from '@gonimos/contract/records';
import { operation, type Operation } from '@gonimos/core/operations';
import { percent } from '@gonimos/core/words';
import { AddPicture } from '../pictures/pictures';
import { newId } from '../common/api';
import { forgetClock, toldByClock } from '../common/bench-clock';
import { useContractForm } from '../common/contract-form';
import { duration } from '../common/dates';
import { readDraft, useDraft } from '../common/draft';
import { Field, Trouble } from '../common/field';
import { Meant } from '../common/meant';
import { typed, typedOrNull } from '../common/numbers';
import type { Outcome as RecordOutcome } from '@gonimos/contract/outcome';
import { useCohort } from '../cohorts/queries';
import { startPath } from '../common/start-words';
import { countWords } from '../common/words';
import { Sheet } from '../common/sheet';
import type { Unsent } from '../common/write';
import { asksOf, firstBy, toldBy, type Ask, type Inputs, type Recordable } from './asks';
import { NUMBER } from './asks/ask';
import { Aim } from './aim';
import { DoneCost } from './done-cost';
import { Losses } from './losses';
import { Outcome } from './outcome';
import { useRecordWork } from './queries';
import { SplitRest } from './split-rest';

function firstOf(step: Recordable, asks: readonly Ask[], today: string): Inputs {
  const seed = step.live === 0 && step.pending > 0;
  const loss = {
    id: newId(),
    kind: seed ? ('lost_before_emergence' as const) : ('lost' as const),
    count: '',
    cause: seed ? 'eaten' : 'unknown',
  };
  return {
    on: today,
    // one plant is made of them: the step stays open while stems are left to be set together
    done: step.group ? '1' : '',
    // what a bench leaves for a day keeps the step open as well
    finished: !step.stem?.until && (!step.group || leftOf(step) <= step.group.members.length),
    losses: [loss],
    minutes: String(toldByClock(step)?.minutes ?? ''),
    note: '',
    nextTime: '',
    meant: false,
    details: firstBy(asks, step),
  };
}

/** How long roots were bare, where the clock counted it. */
function bareOf(step: Recordable): NewRecord['details'] {
  const bare = toldByClock(step)?.bare ?? null;
  return bare === null ? {} : { pace: { bare } };
}

function toRecord(step: Recordable, asks: readonly Ask[], v: Inputs): Unsent<NewRecord> {
  const { id: _, ...record } = workOn({
    id: '',
    cohortId: step.cohortId,
    stepKey: step.stepKey,
    on: v.on,
    done: typedOrNull(v.done),
    finished: v.finished,
    losses: v.losses
      .filter((l) => l.count.trim() !== '')
      .map((l) => ({ id: l.id, kind: l.kind, count: typed(l.count) ?? Number.NaN, cause: l.cause })),
    minutes: typedOrNull(v.minutes),
    note: v.note,
    nextTime: v.nextTime,
    meant: v.meant,
    details: {
      ...toldBy(asks, v.details),
      ...bareOf(step),
      ...(step.group ? { group: step.group } : {}),
    },
  });
  return record;
}

/** What to mind before the work, what was left for it, and how much may go. */
function Before({ step, op }: { step: Recordable; op: Operation | null }) {
  return (
    <>
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
          Take up to <strong className="whitespace-nowrap">{percent(step.rootCut.take)}</strong> of the root;
          the limit today is <span className="whitespace-nowrap">{percent(step.rootCut.limit)}</span>.
        </p>
      )}
      {step.topCut && (
        <p>
          Of the top no more than <strong>{percent(step.topCut.take)}</strong>, always down to a live branch
          or bud.
        </p>
      )}
    </>
  );
}

/** What the clock says, and what was planned. */
function minutesHint(step: Recordable): string | undefined {
  const said = [
    toldByClock(step) && 'by the clock',
    step.minutes > 0 && `planned ${duration(step.minutes)}`,
  ].filter(Boolean);
  return said.length > 0 ? said.join('; ') : undefined;
}

/** What is wrong with an input, by its path in the form. */
function faultIn(errors: FieldErrors<Inputs>, path: string): string | undefined {
  const found: unknown = get(errors, path);
  const message = (found as { message?: unknown } | undefined)?.message;
  return typeof message === 'string' ? message : undefined;
}

/** Minutes, a note, and what is left for next time. */
function Words({ step, form }: { step: Recordable; form: UseFormReturn<Inputs> }) {
  const { errors } = form.formState;
  return (
    <>
      <Field label="Minutes" hint={minutesHint(step)} error={errors.minutes?.message}>
        <input {...NUMBER} {...form.register('minutes')} />
      </Field>
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
    </>
  );
}

/** What is seldom told: a touch away, open where something stands in it. */
function More({ open, children }: { open: boolean; children: ReactNode }) {
  const [first] = useState(open);
  return (
    <details open={first || open} className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        More: minutes, vigour, note, next time
      </summary>
      <div className="grid gap-5 pt-2">{children}</div>
    </details>
  );
}

/** Of seed nothing came up and it was written off: the same again, where there is seed and time. */
function SowAgain({ cohortId }: { cohortId: string }) {
  const cohort = useCohort(cohortId).data;
  if (!cohort) return null;
  const { taxonId, programmeId, lot } = cohort;
  const more = lot ? { lotId: lot.id } : {};
  return (
    <Link
      className="btn btn-outline btn-tall"
      to={startPath({ taxonId, programmeId, placeId: cohort.placeId }, cohort.started, more)}
    >
      Sow again
    </Link>
  );
}

interface Props {
  step: Recordable;
  today: string;
  onClose: () => void;
}

interface RecordedProps extends Props {
  done: RecordOutcome;
  /** how many the step is still open for */
  rest: number;
  /** seed was counted that came up */
  sown: boolean;
}

/** What came of it, and what may be done about it. */
function Recorded({ step, done, rest, sown, today, onClose }: RecordedProps) {
  return (
    <div className="grid gap-5">
      <Outcome result={done} today={today} onClose={onClose} />
      {sown && done.live + done.pending === 0 && <SowAgain cohortId={step.cohortId} />}
      {rest > 0 && <SplitRest step={step} rest={rest} today={today} />}
      <AddPicture cohortId={step.cohortId} record={done.recordId} />
    </div>
  );
}

/** One sheet for whatever was done or found: what the work asks, losses by cause, minutes, words. */
export function RecordSheet({ step, today, onClose }: Props) {
  const op = step.operation ? operation(step.operation) : null;
  const asks = asksOf(op, step);
  const draft = `record ${step.cohortId} ${step.stepKey}`;
  const work = useRecordWork(draft);
  const { form, errors, send } = useContractForm({
    first: { ...firstOf(step, asks, today), ...readDraft<Inputs>(draft) },
    schema: newRecord,
    payload: (typed) => toRecord(step, asks, typed),
  });
  useDraft(draft, form);
  // what is about an input stands at it
  const whole = Object.keys(errors).length === 0 ? work.error?.message : undefined;
  const fault = errors.root?.message ?? whole;
  const left = leftOf(step);
  // a part of them leaves the step open for the rest
  const finish = (e: { target: { value: string } }) => {
    const typed = typedOrNull(e.target.value);
    form.setValue('finished', typed === null || typed >= left);
  };

  const parts = (which: (a: Ask) => boolean) =>
    asks
      .filter(which)
      .map(({ subject, Fields }) => (
        <Fields
          key={subject}
          step={step}
          op={op}
          form={form}
          fault={(name) => faultIn(errors, `details.${subject}.${name}`)}
        />
      ));

  const told = form.getValues();
  const look = step.stepKey === null;
  const counted = op?.asks.includes('emergence') ?? false;
  // what is wrong in a fold is shown
  const moreFault = Boolean(errors.minutes ?? errors.note ?? errors.nextTime ?? errors.details?.looks);
  const rest = told.finished ? 0 : left - (typedOrNull(told.done) ?? 0);
  if (work.data)
    return (
      <Sheet title={step.title} sub={step.code} onClose={onClose}>
        <Recorded step={step} done={work.data} rest={rest} sown={counted} today={today} onClose={onClose} />
      </Sheet>
    );
  // of one plant there is no part
  const batch =
    step.stepKey && step.live > 1 && !counted && (op?.lane !== 'care' || op.asks.includes('container'));
  return (
    <Sheet
      title={step.title}
      sub={`${step.code} · ${countWords({ ...step, ...(op?.layer ? { method: 'layer' } : {}) })}`}
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
      <form id="record" className="grid gap-5" onSubmit={send(work, () => forgetClock(step))} noValidate>
        <Before step={step} op={op} />
        {step.stepKey && step.operation && (
          <Aim
            cohortId={step.cohortId}
            stepKey={step.stepKey}
            operation={step.operation}
            today={today}
            onClose={onClose}
          />
        )}
        {step.stepKey && op && op.rootLoss.value > 0 && (
          <DoneCost cohortId={step.cohortId} stepKey={step.stepKey} on={form.watch('on')} today={today} />
        )}
        {fault && !errors.meant && <Trouble>{fault}</Trouble>}
        <Meant reason={errors.meant?.message} register={form.register('meant')} />
        <Field label="Day" error={errors.on?.message}>
          <FormDay form={form} name="on" max={today} />
        </Field>
        {batch && (
          <Field
            label="Plants done"
            hint={
              step.part > 0
                ? `${step.part} were done before, ${left} are left; leave empty for all of them`
                : `of ${step.about ?? step.live}; leave empty for all`
            }
            error={errors.done?.message}
          >
            <input {...NUMBER} placeholder={String(left)} {...form.register('done', { onChange: finish })} />
          </Field>
        )}
        {parts((a) => a.counts === true)}
        {parts((a) => !a.counts && !a.more)}
        <Losses form={form} pending={step.pending} />
        <More open={look || told.minutes !== '' || told.note !== '' || moreFault}>
          {parts((a) => a.more === true)}
          <Words step={step} form={form} />
        </More>
        {step.stepKey && step.about === null && (
          <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" className="checkbox checkbox-primary" {...form.register('finished')} />
            This step is finished for the whole cohort
          </label>
        )}
      </form>
    </Sheet>
  );
}
