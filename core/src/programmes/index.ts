import { PROGRAMMES } from '../../data/programmes.ts';
import type { WindowSpec } from '../operations/index.ts';

export type Method = 'seed' | 'cutting';
export type School = 'one' | 'combined';

export type Condition = { measure: 'caliper' | 'height'; atLeast: number; unit: 'mm' };

export interface ProgrammeStep {
  key: string;
  operation: string;
  /** overrides the operation's name */
  title?: string;
  /** steps that must be done first, with days or growing seasons between */
  after: { step: string; days?: number; seasons?: number }[];
  container?: string;
  conditions?: Condition[];
  window?: WindowSpec;
  /** override the operation's share of root or top taken */
  rootLoss?: number;
  topLoss?: number;
}

export interface Programme {
  id: string;
  name: string;
  method: Method;
  summary: string;
  /** vigour 1..5 the plants begin with */
  vigour: number;
  /** one major insult a season, or root and top together while young; null: by taxon and age */
  school: School | null;
  steps: ProgrammeStep[];
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

export { PROGRAMMES };
