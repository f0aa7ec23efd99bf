import type { FieldError, UseFormRegisterReturn } from 'react-hook-form';
import { newVisit, type VisitOutcome } from '@gonimos/contract/visits';
import { containers } from '@gonimos/core/containers';
import { taxaByName } from '@gonimos/core/taxa';
import { DECISIONS, FOUND, usualDecision, type Decision, type Found } from '@gonimos/core/visits';
import { AddPicture } from '../pictures/pictures';
import { fieldWords } from '../common/api';
import { useContractForm } from '../common/contract-form';
import { shortDate } from '../common/dates';
import { readDraft, useDraft } from '../common/draft';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from '../records/outcome';
import { Causes } from './causes';
import { useVisit } from './queries';

interface Props {
  cohort: { cohortId: string; code: string; live: number; pending: number };
  /** the work during which it was found; null: a look between steps */
  step: { key: string; title: string } | null;
  /** open work of the cohort a decision may be about */
  steps?: { key: string; title: string }[];
  today: string;
  onClose: () => void;
}

const ADVICE: Record<Decision, string> = {
  'carry-on': 'the plan stands',
  lighten: 'take half of what was planned this time',
  'put-back': 'leave it alone most of a season, then open again',
  quarantine: 'apart from the others, no move until released',
  'step-back': 'into a smaller container',
};

/** Nothing is chosen: the usual decision holds. */
const UNDECIDED: Decision | '' = '';

interface WhatNowProps {
  decision: Decision | '';
  /** what is usually decided on such a find; null where nothing was found */
  usual: Decision | null;
  choose: (decision: Decision) => void;
}

/** What is decided on what was found, with what speaks for each. */
function WhatNow({ decision, usual, choose }: WhatNowProps) {
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-semibold">What now</legend>
      {(Object.entries(DECISIONS) as [Decision, string][]).map(([key, words]) => (
        <label key={key} className="flex min-h-12 items-center gap-3">
          <input
            type="radio"
            className="radio radio-primary"
            value={key}
            checked={decision === key}
            onChange={() => choose(key)}
          />
          <span>
            {words}
            {key === usual && <span className="ml-2 text-sm font-semibold text-primary">usual</span>}
            <span className="soft block text-sm">{ADVICE[key]}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

/** What can be found, to be ticked. */
function WhatFound({ register }: { register: UseFormRegisterReturn }) {
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-semibold">What was found</legend>
      {(Object.entries(FOUND) as [Found, string][]).map(([key, words]) => (
        <label key={key} className="flex min-h-12 items-center gap-3">
          <input type="checkbox" className="checkbox checkbox-primary" value={key} {...register} />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

/** What came of it: likely causes, when to look again, a picture, what moved. */
function Recorded({
  done,
  cohort,
  today,
  onClose,
}: Pick<Props, 'cohort' | 'today' | 'onClose'> & { done: VisitOutcome }) {
  return (
    <div className="grid gap-5">
      <Causes causes={done.causes} open />
      {done.checkOn && (
        <p>
          Look again <strong>{shortDate(done.checkOn, today)}</strong>: it comes back on the round.
        </p>
      )}
      <AddPicture cohortId={cohort.cohortId} record={done.recordId} />
      <Outcome
        result={{
          recordId: done.recordId,
          live: cohort.live,
          pending: cohort.pending,
          moved: done.moved,
        }}
        today={today}
        onClose={onClose}
      />
    </div>
  );
}

/** An unplanned look: what was found, then one decision; the course is planned again around it. */
export function VisitSheet({ cohort, step, steps = [], today, onClose }: Props) {
  const draft = `visit ${cohort.cohortId} ${step?.key ?? ''}`;
  const visit = useVisit(draft);
  const { form, errors, send } = useContractForm({
    first: {
      found: [] as Found[],
      decision: UNDECIDED,
      stepKey: step?.key ?? '',
      container: '',
      taxonId: '',
      note: '',
      ...readDraft<{ note: string }>(draft),
    },
    schema: newVisit,
    payload: (typed) => {
      const decided = typed.decision || usualDecision(typed.found);
      return {
        cohortId: cohort.cohortId,
        on: today,
        found: typed.found,
        decision: decided,
        stepKey: typed.stepKey || null,
        container: decided === 'step-back' ? typed.container || null : null,
        taxonId: typed.found.includes('wrong-identity') ? typed.taxonId || null : null,
        note: typed.note,
      };
    },
  });
  useDraft(draft, form);
  const v = form.watch();
  const usual = usualDecision(v.found);
  const decision = v.decision || usual;
  const wantsStep = (decision === 'lighten' || decision === 'put-back') && !step;
  // a sheet of big buttons: what is wrong is said once, above them
  const fault =
    Object.entries(errors)
      .map(
        ([field, e]) =>
          `${field === 'root' ? '' : `${fieldWords(field)} `}${(e as FieldError).message ?? ''}`,
      )
      .join('; ') || visit.error?.message;
  const done = visit.data;
  return (
    <Sheet title="Something found" sub={`${cohort.code}${step ? ` · ${step.title}` : ''}`} onClose={onClose}>
      {done ? (
        <Recorded done={done} cohort={cohort} today={today} onClose={onClose} />
      ) : (
        <form className="grid gap-5" onSubmit={send(visit)} noValidate>
          {fault && <Trouble>{fault}</Trouble>}
          <WhatFound register={form.register('found')} />
          {v.found.includes('wrong-identity') && (
            <Field label="It is">
              <select className="select" {...form.register('taxonId')}>
                <option value="">choose</option>
                {taxaByName().map((t) => (
                  <option key={t.id} value={t.id}>
                    {t.name} ({t.botanical})
                  </option>
                ))}
              </select>
            </Field>
          )}
          <WhatNow
            decision={decision}
            usual={v.found.length > 0 ? usual : null}
            choose={(key) => form.setValue('decision', key)}
          />
          {wantsStep && (
            <Field label="Which work" hint="the step that is lightened or waits">
              <select className="select" {...form.register('stepKey')}>
                <option value="">choose</option>
                {steps.map((s) => (
                  <option key={s.key} value={s.key}>
                    {s.title}
                  </option>
                ))}
              </select>
            </Field>
          )}
          {decision === 'step-back' && (
            <Field label="Back into">
              <select className="select" {...form.register('container')}>
                <option value="">choose</option>
                {containers()
                  .filter((c) => c.wall !== 'ground')
                  .map((c) => (
                    <option key={c.id} value={c.id}>
                      {c.name}
                    </option>
                  ))}
              </select>
            </Field>
          )}
          {(v.found.includes('pests') || v.found.includes('rot')) && (
            <p className="rounded-box bg-[var(--slip)] px-4 py-3">
              <strong>Mind:</strong> bag what you cut off, do not compost it; report quarantined pests as
              local rules say. Sprays: the label and local rules, a licensed applicator where the law asks.
            </p>
          )}
          <Field label="Note">
            <textarea className="textarea" rows={3} {...form.register('note')} />
          </Field>
          <button className="btn btn-primary btn-tall text-lg" disabled={visit.isPending}>
            {visit.isPending ? 'Recording …' : 'Record what was found'}
          </button>
        </form>
      )}
    </Sheet>
  );
}
