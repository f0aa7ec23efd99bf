import { cp } from '../params/index.ts';
import type { LabCourse } from './types.ts';

/** Minutes of work on one plant. Common practice, no source. */
export const WORK = {
  move: cp(15, 'min'),
  chop: cp(12, 'min'),
  off: cp(6, 'min'),
  prune: cp(4, 'min'),
  carve: cp(30, 'min'),
  ground: cp(25, 'min'),
} as const;

/** What a course costs up to the end of a season: minutes of work on one plant, and litres of mix. */
export function costUntil(course: LabCourse, year = Infinity): { minutes: number; litres: number } {
  let minutes = 0;
  let litres = 0;
  for (const a of course.acts) {
    if (a.year > year) continue;
    if (a.do === 'move') {
      minutes += a.litres === null ? WORK.ground.value : WORK.move.value;
      litres += a.litres ?? 0;
    } else if (a.do === 'chop' || a.do === 'off' || a.do === 'prune' || a.do === 'carve')
      minutes += WORK[a.do].value;
  }
  return { minutes, litres };
}
