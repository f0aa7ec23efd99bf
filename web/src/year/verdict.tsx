import { plural } from '@gonimos/core/words';
import { Link } from 'react-router';
import { OVERLOAD_COST, type WeekLoad } from '@gonimos/core/year';
import { AfterPaint } from '../common/after-paint';
import { duration, shortDate } from '../common/dates';
import type { Levelled } from './worker';
import type { ShortLine, YearHead, YearView } from './view';

/** Why a step does not fit, in a grower's words. */
export function lackWords(
  s: Pick<ShortLine, 'week' | 'lacks' | 'crew'>,
  year: Pick<YearHead, 'weeks' | 'today' | 'lockedWeeks' | 'capacity' | 'hands'>,
  load: WeekLoad,
): string {
  const week = shortDate(year.weeks[s.week], year.today);
  if (year.lockedWeeks.includes(year.weeks[s.week])) return `the week of ${week} is locked`;
  const { capacity, hands } = year;
  if (s.lacks === 'people')
    return `wants ${s.crew} people at once, and the week of ${week} has ${hands[s.week]}`;
  if (s.lacks === 'practice')
    return `the week of ${week} has ${duration(load.skilled)} of work that wants practice, and ${duration(capacity.skilled[s.week])} of hands that have it`;
  return `the week of ${week} has ${duration(load.all)} of work, and ${duration(capacity.all[s.week])} of hands`;
}

/** What becomes of it. */
export const lossWords = (s: Pick<ShortLine, 'windowLost'>): string =>
  s.windowLost ? 'its window would be lost' : 'a later week of its window has room';

interface Props {
  year: YearHead;
  load: readonly WeekLoad[];
  /** steps that do not fit, within the weeks shown */
  short: YearView['short'];
  /** what the levelled plan costs and the bound proved under it, where that is what is shown */
  levelled: Levelled | null;
}

/** The one verdict on a year: whether all of it fits, and if not, what does not, why, and what that costs. */
export function Verdict({ year, load, short, levelled }: Props) {
  const over = load.slice(0, year.shown).reduce((n, l) => n + l.over, 0);
  const { count, lost, first } = short;
  return (
    <div className="grid gap-2">
      {count === 0 ? (
        <p className="font-semibold">Everything fits.</p>
      ) : (
        <details className="bg-[var(--due)] px-4 py-2">
          <summary className="min-h-11 cursor-pointer py-2">
            <strong>
              {plural(count, 'step')} {count === 1 ? 'does' : 'do'} not fit
            </strong>
            {over >= 1 && `: ${duration(over)} more than there are hours`}
            {lost > 0 ? `; ${plural(lost, 'window')} would be lost.` : '; all have room later.'}
          </summary>
          <AfterPaint>
            <ul className="divide-y divide-accent/20">
              {first.map((s) => (
                <li key={s.id} className="py-1.5">
                  <Link to={`/cohorts/${s.cohortId}`} className="font-bold underline underline-offset-4">
                    {s.code}
                  </Link>{' '}
                  {s.title}, {duration(s.minutes)}
                  <span className="soft block text-sm">
                    {lackWords(s, year, load[s.week])}; {lossWords(s)}
                  </span>
                </li>
              ))}
            </ul>
          </AfterPaint>
          {count > first.length && (
            <p className="soft py-1">and {count - first.length} more, in their weeks</p>
          )}
        </details>
      )}
      {levelled && <Proof {...levelled} />}
    </div>
  );
}

/** How far a levelled plan can be from the best there is, in time that a better one could spare. */
function Proof({ cost, bound }: Levelled) {
  const spared = (cost - bound) / OVERLOAD_COST;
  return (
    <details className="soft text-sm">
      <summary className="min-h-11 cursor-pointer py-2.5">
        Proved: no plan is better by {spared < 1 ? 'even a minute' : `more than ${duration(spared)}`} of work
        too many
      </summary>
      <p>
        Or by weeks nearer to the best that weigh as much: {OVERLOAD_COST} for a minute, 1 to 4 for each week
        away, squared.
      </p>
    </details>
  );
}
