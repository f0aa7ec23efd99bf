import { daysBetween, type IsoDate } from '../calendar/index.ts';
import { isNoNews, isOver } from './drift.ts';
import type { Course, PlannedStep, Reason } from './types.ts';

/** A step whose window or state changed between two plans. */
export interface Moved {
  key: string;
  title: string;
  was: { opens: IsoDate | null; closes: IsoDate | null };
  now: { opens: IsoDate | null; closes: IsoDate | null };
  /** days later (negative: earlier); null when one of the two has no date */
  days: number | null;
  because: Reason | null;
}

type Plan = Pick<PlannedStep, 'key' | 'status' | 'opens' | 'closes'>;

/** What moved from one plan to the next and the rule that decided it; steps done since are left out. */
export function diffCourse(before: readonly Plan[], after: Pick<Course, 'steps'>): Moved[] {
  const old = new Map(before.map((s) => [s.key, s]));
  return after.steps.flatMap((now) => movedStep(old.get(now.key), now) ?? []);
}

function movedStep(was: Plan | undefined, now: PlannedStep): Moved | null {
  if (!was || isOver(now) || was.status === 'done') return null;
  if (was.opens === now.opens && was.closes === now.closes) return null;
  return {
    key: now.key,
    title: now.title,
    was: { opens: was.opens, closes: was.closes },
    now: { opens: now.opens, closes: now.closes },
    days: was.opens && now.opens ? daysBetween(was.opens, now.opens) : null,
    because: now.reasons.find((r) => r.binding) ?? now.reasons[0] ?? null,
  };
}

/**
 * What is worth a word of steps laid anew: no small shift of what lies far ahead, and no aftercare that goes with
 * the step it follows.
 */
export function newsOf(before: readonly Plan[], laid: readonly PlannedStep[], today: IsoDate): Moved[] {
  const old = new Map(before.map((s) => [s.key, s]));
  const moving = new Set<string>();
  const news: Moved[] = [];
  for (const now of laid) {
    const was = old.get(now.key);
    const moved = movedStep(was, now);
    if (!moved || isNoNews(was!, now, today)) continue;
    moving.add(now.key);
    if (now.chain === null || !moving.has(now.chain)) news.push(moved);
  }
  return news;
}

/**
 * Steps that were planned and for which there is no time any more, as an opening put off past its cut-off: they have no
 * date, and what says so. `until`: only those that were to open by then; null: all.
 */
export const fallenOf = (
  before: readonly (Plan & Pick<PlannedStep, 'title' | 'chain'>)[],
  { leftOut }: Pick<Course, 'leftOut'>,
  until: IsoDate | null,
): Moved[] =>
  leftOut.flatMap(({ key, because }) => {
    const was = before.find((s) => s.key === key);
    if (!was || was.chain !== null || was.status !== 'planned') return [];
    if (until !== null && (was.opens === null || was.opens > until)) return [];
    return {
      key,
      title: was.title,
      was: { opens: was.opens, closes: was.closes },
      now: { opens: null, closes: null },
      days: null,
      because,
    };
  });

/** Two plans for the same cohort side by side: what moves, what is new, what falls away. */
export interface CourseChange {
  moved: Moved[];
  added: { key: string; title: string; opens: IsoDate | null; closes: IsoDate | null }[];
  removed: { key: string; title: string; opens: IsoDate | null; closes: IsoDate | null }[];
  ends: { was: IsoDate | null; now: IsoDate | null };
}

type Shown = Pick<PlannedStep, 'key' | 'title' | 'status' | 'chain' | 'opens' | 'closes'>;

/** Steps of aftercare go with the step they follow and are not told one by one. */
export function changeOfCourse(
  before: { steps: readonly Shown[]; endsOn: IsoDate | null },
  after: Course,
): CourseChange {
  const ahead = (s: Shown) => s.chain === null && (s.status === 'planned' || s.status === 'none');
  const had = new Set(before.steps.map((s) => s.key));
  const has = new Set(after.steps.map((s) => s.key));
  const told = ({ key, title, opens, closes }: Shown) => ({ key, title, opens, closes });
  const care = new Set(after.steps.filter((s) => s.chain !== null).map((s) => s.key));
  return {
    moved: diffCourse(before.steps, after).filter((m) => !care.has(m.key)),
    added: after.steps.filter((s) => ahead(s) && !had.has(s.key)).map(told),
    removed: before.steps.filter((s) => ahead(s) && !has.has(s.key)).map(told),
    ends: { was: before.endsOn, now: after.endsOn },
  };
}
