import { RULE_WORDS } from '@gonimos/core/course';
import { percent } from '@gonimos/core/words';
import { CalendarArrowDown } from 'lucide-react';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CourseStep, PlanChange } from '@gonimos/contract/course';
import { container } from '@gonimos/core/containers';
import { MoveSheet } from '../moves/move-sheet';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { PutOffSheet } from '../records/put-off-sheet';
import { RecordStep } from './record-step';
import { recordable } from './recordable';
import { dateSpan, readable, shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { spanWords } from '../common/words';
import { Why } from '../common/why';
import { inOrder, STANDING_WORDS, standing } from './lanes';
import { useChanges, useCourse } from './queries';
import { Timeline } from './timeline';

type Open =
  | { kind: 'record' | 'put off' | 'why' | 'found'; step: CourseStep }
  | { kind: 'move'; step: CourseStep; to: string }
  | null;

function StepLine({ step, today, open }: { step: CourseStep; today: string; open: (o: Open) => void }) {
  const may = useMay('grower');
  const now = standing(step, today);
  const hot = now === 'due' || now === 'late' || now === 'missed';
  const binding = step.reasons.find((r) => r.binding);
  const found = step.reasons.find((r) => r.rule === 'quarantine' && !r.binding);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
      <div className="min-w-56 grow basis-64">
        <p className={now === 'done' || now === 'dropped' ? 'soft' : 'font-semibold'}>{step.title}</p>
        {now === 'none' && binding && <p className="text-sm text-error">{readable(binding.text, today)}</p>}
        {step.putOff && <p className="text-sm text-warning">Put off: {step.putOff.reason}</p>}
        {step.moved && (
          <p className="text-sm text-info">
            Set by hand to {shortDate(step.moved.to, today)}
            {step.moved.overrides && ` against ‘${RULE_WORDS[step.moved.overrides].words}’`}
            {step.moved.reason && `: ${step.moved.reason}`}
          </p>
        )}
        {found && step.status === 'planned' && (
          <p className="text-sm font-semibold text-accent">{readable(found.text, today)}</p>
        )}
        {step.offers && <p className="text-sm font-semibold text-info">Instead: {step.offers}</p>}
        {step.odds !== null && step.status === 'planned' && (
          <p className="soft text-sm">
            Lives through it: {Math.round(step.odds * 100)} in a hundred, by the model
          </p>
        )}
        {step.span && step.status === 'planned' && <p className="soft text-sm">{spanWords(step.span)}</p>}
        {step.topCut && step.status === 'planned' && (
          <p className="text-sm text-warning">
            Top cut held to {percent(step.topCut.take)} of the {percent(step.topCut.wanted)} wanted, to live
            growth
          </p>
        )}
        {step.nextTime && <p className="text-sm text-info">Next time: {step.nextTime}</p>}
        {step.rootCut && step.status === 'planned' && step.rootCut.take < step.rootCut.wanted && (
          <p className="text-sm text-warning">
            Root cut held to {percent(step.rootCut.take)} of the {percent(step.rootCut.wanted)} wanted
          </p>
        )}
      </div>
      <p className="w-56 text-right whitespace-nowrap max-sm:w-auto max-sm:text-left">
        <span className={`mr-2 text-sm font-semibold ${hot ? 'text-accent' : 'soft'}`}>
          {STANDING_WORDS[now]}
        </span>
        {step.doneOn
          ? shortDate(step.doneOn, today)
          : step.opens && dateSpan(step.opens, step.closes!, today)}
      </p>
      <span className="flex min-w-52 justify-end gap-2 max-sm:w-full max-sm:justify-start">
        {hot && (
          <button type="button" className="btn btn-primary" onClick={() => open({ kind: 'record', step })}>
            Record
          </button>
        )}
        {may && step.status === 'planned' && step.ready && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => open({ kind: 'put off', step })}
          >
            Not yet
          </button>
        )}
        {may && step.status === 'planned' && !step.ready && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => open({ kind: 'move', step, to: step.target! })}
          >
            Set a day<span className="sr-only">, {step.title}</span>
          </button>
        )}
        {step.reasons.length > 0 && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            onClick={() => open({ kind: 'why', step })}
          >
            Why<span className="sr-only">, {step.title}</span>
          </button>
        )}
      </span>
    </li>
  );
}

function Changes({ changes, today }: { changes: PlanChange[]; today: string }) {
  if (changes.length === 0) return <p className="soft">The plan has not moved yet.</p>;
  const span = (a: string | null, b: string | null) => (a && b ? dateSpan(a, b, today) : 'no date');
  return (
    <ul className="divide-y divide-base-300">
      {changes.slice(0, 30).map((c) => (
        <li key={c.id} className="py-2.5">
          <p>
            <span className="soft mr-2">{shortDate(c.at, today)}</span>
            <strong>{c.title}</strong>: <s className="soft">{span(c.wasOpens, c.wasCloses)}</s> →{' '}
            {span(c.nowOpens, c.nowCloses)}
          </p>
          <p className="soft text-sm">
            {c.cause}
            {c.because && `; ${readable(c.because.text, today)}`}
          </p>
        </li>
      ))}
    </ul>
  );
}

export function CoursePart() {
  const cohort = useOutletContext<Cohort>();
  const today = useToday();
  const { data: course, error } = useCourse(cohort.id);
  const changes = useChanges(cohort.id).data ?? [];
  const [open, setOpen] = useState<Open>(null);
  const [care, setCare] = useState(false);
  const may = useMay('grower');
  if (!course) return <Loading error={error} />;
  const shown = course.steps.filter(
    (s) => care || s.chain === null || s.missed !== null || (s.ready && standing(s, today) === 'due'),
  );
  const ahead = inOrder(shown.filter((s) => s.status === 'planned' || s.status === 'none'));
  const past = course.steps.filter(
    (s) => s.status === 'done' || (s.status === 'dropped' && s.chain === null),
  );
  const stepOf = (key: string) => course.steps.find((x) => x.key === key)!;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-7">
      <section className="card-plain p-4 max-lg:order-2" aria-label="Timeline">
        <Timeline
          steps={course.steps}
          from={cohort.startedFrom}
          to={course.endsOn ?? today}
          today={today}
          care={care}
          onPick={(s) => setOpen({ kind: 'why', step: stepOf(s.key) })}
          {...(may ? { onMove: (s, to) => setOpen({ kind: 'move', step: stepOf(s.key), to }) } : {})}
        />
        <label className="no-print mt-2 flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={care}
            onChange={(e) => setCare(e.target.checked)}
          />
          Show aftercare
          {may && (
            <span className="soft text-sm max-sm:hidden">Drag a step, or move it with the arrow keys.</span>
          )}
        </label>
      </section>
      <section className="max-lg:order-1">
        <header className="flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-xl">Ahead</h2>
          <a
            className="btn btn-ghost gap-2 border border-base-300"
            href={`/api/cohorts/${cohort.id}/course.ics`}
            download
          >
            <CalendarArrowDown size={18} /> To my calendar
          </a>
        </header>
        <ul className="divide-y divide-base-300">
          {ahead.map((s) => (
            <StepLine key={s.key} step={s} today={today} open={setOpen} />
          ))}
          {ahead.length === 0 && <li className="soft py-3">Every step is done.</li>}
        </ul>
      </section>
      <section className="max-lg:order-3">
        <h2 className="text-xl">Done</h2>
        <ul className="divide-y divide-base-300">
          {past.toReversed().map((s) => (
            <StepLine key={s.key} step={s} today={today} open={setOpen} />
          ))}
        </ul>
      </section>
      <section className="max-lg:order-4">
        <h2 className="mb-1 text-xl">What moved</h2>
        <Changes changes={changes} today={today} />
      </section>
      {open?.kind === 'record' && (
        <RecordStep step={recordable(cohort, open.step)} today={today} onClose={() => setOpen(null)} />
      )}
      {open?.kind === 'put off' && (
        <PutOffSheet step={recordable(cohort, open.step)} today={today} onClose={() => setOpen(null)} />
      )}
      {open?.kind === 'move' && (
        <MoveSheet
          cohortId={cohort.id}
          code={cohort.code}
          step={open.step}
          to={open.to}
          today={today}
          onClose={() => setOpen(null)}
        />
      )}
      {open?.kind === 'why' && (
        <Why
          title={`${cohort.code} · ${open.step.title}${open.step.container ? ` (${container(open.step.container).name})` : ''}`}
          reasons={open.step.reasons}
          today={today}
          onClose={() => setOpen(null)}
        />
      )}
    </div>
  );
}
