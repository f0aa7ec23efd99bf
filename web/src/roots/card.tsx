import type { Cohort } from '@gonimos/contract/cohorts';
import { operation } from '@gonimos/core/operations';
import { measure, type Choice, type RootPlan, type RootRecord, type Room } from '@gonimos/core/roots';
import { percent } from '@gonimos/core/words';
import { fullDate } from '../common/dates';
import { inUnits } from '../common/units';
import { PlanView } from './plan-view';
import { SideView } from './side-view';

interface Props {
  cohort: Cohort;
  label: string;
  record: RootRecord;
  plan: RootPlan;
  numbers: ReadonlyMap<string, number>;
  room: Room | null;
  today: string;
}

/** What goes to the bench on paper: both drawings, the cuts in order, what is left, and what to mind. */
export function RootCard({ cohort, label, record, plan, numbers, room, today }: Props) {
  const choices: readonly Choice[] = plan.choices;
  return (
    <article data-theme="ash" className="hidden bg-transparent print:block" aria-label="Root card">
      <h1 className="text-2xl">
        {cohort.code} {label && `· ${label}`}
      </h1>
      <p>
        Root card, {fullDate(today)}. {percent(plan.share)} of the fine root goes, at most{' '}
        {percent(plan.limit)}. Score {plan.score.now}, after the work {plan.score.after}.
      </p>
      <div className="grid grid-cols-2 gap-4">
        <div>
          <PlanView
            record={record}
            chosen={null}
            brush={{ thick: 1, fibre: 1 }}
            choices={choices}
            numbers={numbers}
            measures={measure(record, 'flat')}
            room={room}
            fixed
            act={() => undefined}
          />
          <SideView record={record} choices={choices} />
        </div>
        <div>
          <ol className="list-decimal pl-5">
            {plan.cuts.map((c) => (
              <li key={c.id}>
                <strong>{inUnits(c.title)}</strong>
                {c.share > 0 && ` (−${percent(c.share)})`}
                <br />
                {inUnits(c.because)}
              </li>
            ))}
          </ol>
          {plan.deferred.length > 0 && (
            <>
              <h2 className="mt-3 text-lg">Left for next time</h2>
              <ul className="list-disc pl-5">
                {plan.deferred.map((d) => (
                  <li key={d.id}>{inUnits(d.note)}</li>
                ))}
              </ul>
            </>
          )}
          <h2 className="mt-3 text-lg">Mind</h2>
          <p>{operation('root-work').caution} Local rules come first.</p>
        </div>
      </div>
    </article>
  );
}
