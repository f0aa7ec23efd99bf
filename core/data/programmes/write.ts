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
];
/** Plugs from air-pruning cells go on whole, in leaf, where the school does not comb them out. */
const plug = (container: string): ProgrammeStep =>
  step('plug', 'plug-pot', [after('cells')], {
    ...into(container),
    ...ifSchool('root-ball', 'by-kind', 'plug', 'staged'),
  });
export const CELLS: ProgrammeStep[] = [
  step('cells', 'pot-on', [days('emergence', 25)], into('cell-60', 'Pot on into air-pruning cells')),
  plug('air-pot-1'),
];
/** Long roots wanted: cells twice as deep. */
export const DEEP_CELLS: ProgrammeStep[] = [
  step(
    'cells',
    'pot-on',
    [days('emergence', 25)],
    into('cell-105', 'Pot on into deep air-pruning cells', {
      window: { kind: 'lag', opens: 30, closes: 90 },
    }),
  ),
  plug('pot-13'),
];

/** Roots combed out all round; the ball is kept and turned in stages, or left whole, by school. */
export function firstRoots(waits: After[], rest: Rest): ProgrammeStep[] {
  return [
    step('correct', 'root-correct', waits, { ...rest, ...ifSchool('root-ball', 'by-kind', 'bare') }),
    step('stage', 'stage-roots', [...waits, after('correct')], {
      ...into(rest.container!, 'First root work: one side, ball kept'),
      ...ifSchool('root-ball', 'staged'),
    }),
    step('show-roots', 'expose-roots', [seasons('correct', 1), seasons('stage', 1)], {
      title: 'Lower the mix, show the surface roots',
      ...ifSchool('surface-roots', 'shown'),
    }),
  ];
}
/** First wiring: in one sitting with the first root work, after settling, or in autumn, by school. */
export const firstWire = (...roots: string[]): ProgrammeStep =>
  step('wire-1', 'wire', roots.map(after), { title: 'First wiring' });

export const programmeOf = (
  id: string,
  name: string,
  method: Programme['method'],
  summary: string,
  steps: ProgrammeStep[],
  { vigour = 4, schools = {}, ...more }: Partial<Programme> = {},
): Programme => ({ id, name, method, summary, vigour, schools, steps, ...more });
