import { climateOf, seasonBook } from '@gonimos/core/season';
import type { Course, CourseFacts } from '@gonimos/core/course';
import { firstStep, programme, type Programme } from '@gonimos/core/programmes';
import { maritime } from '../sites.ts';

/** A maritime place and the heated house on it, and cohorts to tell stories of. */
export const outside = seasonBook(climateOf(maritime));
export const glass = climateOf(maritime, { night: 8, day: 8, heatedTo: 15 });
export const house = seasonBook(glass, undefined, { outside });

export function facts(
  taxonId: string,
  p: Programme,
  startedOn: string,
  more: Partial<CourseFacts> = {},
): CourseFacts {
  const first = { [firstStep(p).key]: { status: 'done' as const, doneOn: startedOn } };
  const schools = { nursery: {}, cohort: {} };
  return {
    taxonId,
    programme: p,
    startedOn,
    live: 60,
    sizes: [],
    vigour: [],
    schools,
    ...more,
    steps: { ...first, ...more.steps },
  };
}
export const step = (c: Course, key: string) => c.steps.find((s) => s.key === key)!;
export const decides = (c: Course, key: string) => step(c, key).reasons.find((r) => r.binding)!;

/** A programme of two pieces of work on plants that stand ready. */
export const two = (a: string, b: string, more: object = {}): Programme => ({
  ...programme('seed-broadleaf'),
  steps: [
    { key: 'start', operation: 'slip-pot', after: [], container: 'pot-17' },
    { key: 'a', operation: a, after: [{ step: 'start' }], ...more },
    { key: 'b', operation: b, after: [{ step: 'start' }], ...more },
  ],
});
