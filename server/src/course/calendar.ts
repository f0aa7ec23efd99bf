import ical, { ICalCalendarMethod } from 'ical-generator';
import { addDays } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';

/** {2027-03-18} in a reason becomes the bare date. */
const plainText = (t: string) => t.replace(/\{([\d-]+)\}/g, '$1');

/** Windows of the steps still to do, as whole-day events of an iCalendar file (RFC 5545). */
export function courseCalendar(code: string, cohortId: string, steps: PlannedStep[], today: string): string {
  const calendar = ical({
    name: `${code} course`,
    prodId: { company: 'Gonimos', product: 'course' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const s of steps)
    if (s.status === 'planned' && s.opens && s.closes)
      calendar.createEvent({
        id: `${cohortId}-${s.key}`,
        start: s.opens,
        // the end of a whole-day event is the day after its last
        end: addDays(s.closes, 1),
        allDay: true,
        stamp: `${today}T00:00:00Z`,
        summary: `${code}: ${s.title}`,
        description: s.reasons.map((r) => `${r.rule}: ${plainText(r.text)}`).join('\n'),
      });
  return calendar.toString();
}
