import { PROGRAMMES } from '../../data/programmes/index.ts';
import type { WindowSpec } from '../operations/index.ts';
import type { Choices, QuestionId } from '../schools/index.ts';

export type Method = 'seed' | 'cutting' | 'layer' | 'bought' | 'lifted';
export const METHODS: readonly Method[] = ['seed', 'cutting', 'layer', 'bought', 'lifted'];

/** What the plants must show before a step: a size in mm, or the share of the container that roots fill. */
export type Condition =
  | { measure: 'caliper' | 'height'; atLeast: number; unit: 'mm' }
  | { measure: 'fill'; atLeast: number; unit: 'share' };

export interface After {
  step: string;
  days?: number;
  seasons?: number;
  /** degree days, °C·d above `base`, to pass since; or those a layer of the kind wants to fill again */
  warmth?: { sum: number; base: number } | 'layer again';
  /** when that step has no date, this one does not wait for it */
  optional?: boolean;
  /** what must be on record of that step, in the trade's words: "rooted", "dry" */
  needs?: string;
}

export interface ProgrammeStep {
  key: string;
  operation: string;
  /** overrides the operation's name */
  title?: string;
  /** steps that must be done first, with days or growing seasons between */
  after: After[];
  container?: string;
  conditions?: Condition[];
  window?: WindowSpec;
  /** override the operation's share of root or top taken */
  rootLoss?: number;
  topLoss?: number;
  /** part of the course only under these answers to a question of schools */
  only?: { question: QuestionId; options: string[] };
}

/** Steps gone through again and again, as in a ground row. */
export interface Cycle {
  steps: string[];
  times: number;
  /** growing seasons from the last step of one turn to the first of the next */
  every: number;
}

export interface Programme {
  id: string;
  name: string;
  method: Method;
  summary: string;
  /** vigour 1..5 the plants begin with */
  vigour: number;
  /** caliper the plants begin with, mm; by method when not given */
  caliper?: number;
  /** schools this programme follows unless the cohort says otherwise */
  schools: Choices;
  steps: ProgrammeStep[];
  cycles?: Cycle[];
}

const byId = new Map(PROGRAMMES.map((p) => [p.id, p]));
export const hasProgramme = (id: string): boolean => byId.has(id);

/** Throws RangeError for a programme the library does not hold. */
export function programme(id: string): Programme {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no such programme: ${id}`);
  return found;
}

/** The step by which a cohort begins: it is done when the cohort is entered. */
export const firstStep = (p: Programme): ProgrammeStep => p.steps[0];

export { unfold, rootAngle, type CourseStepPlan, type RootAngle } from './unfold.ts';
export { retarget, type Retarget } from './retarget.ts';
export { suits, usualProgramme } from './suits.ts';
export { faultsOf, type ProgrammeFault } from './faults.ts';
export { PROGRAMMES };
