import { useEffect } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { Wish } from '@gonimos/core/lab';
import { plural } from '@gonimos/core/words';
import { Change } from '../common/change';
import { Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { Outcome } from '../records/outcome';
import { useAdopt, useTryAdopt } from './queries';
import { wishWords } from './wishes';

interface Props {
  cohort: Cohort;
  wish: Wish;
  /** mm at the base; null where no goal can be kept with it */
  goal: number | null;
  today: string;
  onClose: () => void;
}

/** A course of the lab is taken into the plan: what that changes is shown before anything is written. */
export function AdoptSheet({ cohort, wish, goal, today, onClose }: Props) {
  const asked = { cohortId: cohort.id, wish, goal };
  const look = useTryAdopt();
  const write = useAdopt();
  const { mutate } = look;
  useEffect(() => {
    mutate({ cohortId: cohort.id, wish, goal });
  }, [mutate, cohort.id, wish, goal]);
  const answer = look.data;
  if (write.data)
    return (
      <Sheet title="In the plan" sub={cohort.code} onClose={onClose}>
        <Outcome
          result={write.data}
          today={today}
          wayBack={`To go back, carry it over to ‘${answer?.from.name}’ under Aim.`}
          onClose={onClose}
        />
      </Sheet>
    );
  const error = write.error ?? look.error;
  return (
    <Sheet
      title={`${wish.name}, into the plan`}
      sub={`${cohort.code} follows ‘${cohort.programmeName}’ now`}
      onClose={onClose}
    >
      <div className="grid gap-4">
        <p>{wishWords(wish)}.</p>
        {error && <Trouble>{error.message}</Trouble>}
        {look.isPending && <p className="soft">Planning both ways …</p>}
        {answer && (
          <>
            <section className="grid gap-3" aria-live="polite">
              <p className="soft">
                {plural(answer.kept.length, 'step')} that {answer.kept.length === 1 ? 'is' : 'are'} done stay
                as they are. Windows, reserve and stock may move what the course asks for.
              </p>
              <Change change={answer.change} today={today} />
              {answer.byHand.length > 0 && (
                <p>
                  <strong>Kept up by hand,</strong> no step asks for it: {answer.byHand.join(', ')}.
                </p>
              )}
            </section>
            <button
              type="button"
              className="btn btn-primary btn-tall justify-self-start"
              disabled={write.isPending}
              onClick={() => write.mutate(asked)}
            >
              {write.isPending ? 'Planning again …' : 'Take it into the plan'}
            </button>
          </>
        )}
      </div>
    </Sheet>
  );
}
