import type { PutOffAnswer } from '@gonimos/contract/moves';
import { plural } from '@gonimos/core/words';
import { Change } from '../common/change';
import { dateSpan } from '../common/dates';

const YEAR = 330;

/** "a year later", "3 weeks later", "2 days later"; '' for no shift. */
function laterWords(days: number): string {
  const n = Math.abs(days);
  const which = days > 0 ? 'later' : 'earlier';
  if (n === 0) return '';
  if (n >= YEAR) return `${n < 1.5 * 365 ? 'a year' : `${Math.round(n / 365)} years`} ${which}`;
  return n < 14 ? `${plural(n, 'day')} ${which}` : `${plural(Math.round(n / 7), 'week')} ${which}`;
}

/** What putting it off would cost, in one line, with everything that moves folded under it. */
export function PutOffCost({ cost, today }: { cost: PutOffAnswer; today: string }) {
  const { past, lands, change, endMoves } = cost;
  const moved = change.moved.filter((m) => m.days !== 0);
  const end = endMoves === null ? '' : laterWords(endMoves);
  return (
    <section
      aria-live="polite"
      className={`border-l-4 px-4 py-2.5 ${past ? 'border-accent bg-[var(--due)]' : 'border-primary bg-[var(--celadon)]'}`}
    >
      <p className="font-semibold">
        {past
          ? lands
            ? `Past its closing day: the next window is ${dateSpan(lands.opens, lands.closes, today)}.`
            : change.removed.length > 0
              ? 'Past its closing day: there is no time for it then, and the course goes on without it.'
              : 'Past its closing day, and there is no other window.'
          : 'Still within its window.'}
      </p>
      <p>
        {moved.length === 0
          ? 'Nothing else moves.'
          : `${plural(moved.length, 'step')} ${moved.length === 1 ? 'moves' : 'move'}${end ? `; the course ends ${end}` : ', and the course ends when it did'}.`}
      </p>
      {moved.length > 0 && (
        <details>
          <summary className="cursor-pointer py-1 underline underline-offset-4">What moves</summary>
          <Change change={change} today={today} most={30} />
        </details>
      )}
    </section>
  );
}
