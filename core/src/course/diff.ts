import { daysBetween, type IsoDate } from '../calendar/index.ts';
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
export function diffCourse(before: readonly Plan[], after: Course): Moved[] {
  const old = new Map(before.map((s) => [s.key, s]));
  return after.steps.flatMap((now) => {
    const was = old.get(now.key);
    if (!was || now.status === 'done' || now.status === 'dropped' || was.status === 'done') return [];
    if (was.opens === now.opens && was.closes === now.closes) return [];
    return [
      {
        key: now.key,
        title: now.title,
        was: { opens: was.opens, closes: was.closes },
        now: { opens: now.opens, closes: now.closes },
        days: was.opens && now.opens ? daysBetween(was.opens, now.opens) : null,
        because: now.reasons.find((r) => r.binding) ?? now.reasons[0] ?? null,
      },
    ];
  });
}
