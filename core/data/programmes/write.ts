import type { After, Condition, Programme, ProgrammeStep } from '../../src/programmes/index.ts';
import type { QuestionId } from '../../src/schools/index.ts';

/** Short hand for writing programmes. Order, lags and conditions are common practice, no source. */
export const days = (step: string, n: number): After => ({ step, days: n });
export const seasons = (step: string, n: number): After => ({ step, seasons: n });
export const after = (step: string): After => ({ step });
export const once = (step: string, needs: string): After => ({ step, needs });
/** waits for that step unless it has no date */
export const ifAny = (step: string, n = 0): After => ({ step, seasons: n, optional: true });
export const caliper = (mm: number): Condition[] => [{ measure: 'caliper', atLeast: mm, unit: 'mm' }];
export const height = (mm: number): Condition[] => [{ measure: 'height', atLeast: mm, unit: 'mm' }];
export const full = (share: number): Condition[] => [{ measure: 'fill', atLeast: share, unit: 'share' }];
export const ifSchool = (question: QuestionId, ...options: string[]): Pick<ProgrammeStep, 'only'> => ({
  only: { question, options },
});

type Rest = Omit<ProgrammeStep, 'key' | 'operation' | 'after'>;
export const step = (key: string, operation: string, waits: After[], rest: Rest = {}): ProgrammeStep => ({
  key,
  operation,
  after: waits,
  ...rest,
});
/** Into a container. */
export const into = (container: string, title?: string, rest: Rest = {}): Rest => ({
  container,
  ...(title ? { title } : {}),
  ...rest,
});

export const SEED_START: ProgrammeStep[] = [
  step('sow', 'sow', [], into('seed-flat')),
  step('emergence', 'emergence-count', [after('sow')]),
  step('mesh-off', 'mesh-off', [days('emergence', 14)]),
];
export const CELLS = step(
  'cells',
  'pot-on',
  [days('emergence', 25)],
  into('cell-60', 'Pot on into air-pruning cells'),
);

export const programmeOf = (
  id: string,
  name: string,
  method: Programme['method'],
  summary: string,
  steps: ProgrammeStep[],
  { vigour = 4, schools = {}, ...more }: Partial<Programme> = {},
): Programme => ({ id, name, method, summary, vigour, schools, steps, ...more });
