import { useQuery } from '@tanstack/react-query';
import type { AskDone, DoneAnswer } from '@gonimos/contract/moves';
import { isIsoDate } from '@gonimos/core/calendar';
import { plural } from '@gonimos/core/words';
import { call } from '../common/api';
import { Change } from '../common/change';

/** From so many days on a shift is told before the work. */
const FAR = 60;

/** What root work pushes out, said before it is done: nothing where it pushes out nothing. */
export function DoneCost({ cohortId, stepKey, on, today }: AskDone & { today: string }) {
  const ask = { cohortId, stepKey, on };
  const { data } = useQuery({
    queryKey: ['cohort', cohortId, 'done', stepKey, on],
    queryFn: () => call<DoneAnswer>('POST', '/calc/done', ask),
    enabled: isIsoDate(on) && on <= today,
    retry: false,
  });
  const far = data?.change.moved.filter((m) => m.key !== stepKey && (m.days ?? 0) > FAR) ?? [];
  if (!data || far.length === 0) return null;
  return (
    <section className="border-l-4 border-accent bg-[var(--due)] px-4 py-2.5" aria-live="polite">
      <p>
        <strong>Done on this day it pushes out {plural(far.length, 'step')}</strong>: {far[0].title}
        {far.length > 1 && ` and ${far.length - 1} more`}.
      </p>
      <details>
        <summary className="cursor-pointer py-1 underline underline-offset-4">What moves</summary>
        <Change change={{ ...data.change, moved: far }} today={today} most={30} />
      </details>
    </section>
  );
}
