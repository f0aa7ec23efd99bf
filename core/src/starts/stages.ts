import { workOf } from '../operations/index.ts';
import type { Programme, ProgrammeStep } from '../programmes/index.ts';

/** Stages a batch is counted at, in order; a programme has those its steps lead through. */
export const STAGES = ['showing', 'rooted', 'single', 'corrected', 'graded', 'chopped', 'training'] as const;
export type Stage = (typeof STAGES)[number];

const BY_OPERATION: Record<string, Stage> = {
  'emergence-count': 'showing',
  'cutting-check': 'showing',
  'water-to-mix': 'showing',
  'layer-sever': 'showing',
  'pot-on': 'single',
  'root-correct': 'corrected',
  grade: 'graded',
  chop: 'chopped',
  'training-pot': 'training',
  'sale-lift': 'training',
};

/** What a stage is called for plants that began in a way. */
export function stageWords(stage: Stage, method: Programme['method']): string {
  if (stage === 'showing')
    return { seed: 'up', cutting: 'rooted', layer: 'severed', bought: 'settled', lifted: 'settled' }[method];
  return {
    rooted: 'rooted again',
    single: 'standing singly',
    corrected: 'roots corrected',
    graded: 'graded',
    chopped: 'first chop',
    training: 'in the last pot',
  }[stage];
}

export interface StageStep {
  stage: Stage;
  step: ProgrammeStep;
}

/** The stages of a programme with the step that ends each, in order; a later grade or chop counts no more. */
export function stagesOf(p: Programme): StageStep[] {
  const found: StageStep[] = [];
  for (const step of p.steps) {
    const last = found.at(-1);
    // a check after emergence is of seedlings cut and stuck again
    const work = workOf(step.operation);
    const again = work === 'cutting-check' && last?.stage === 'showing';
    const stage = again ? 'rooted' : BY_OPERATION[work];
    if (!stage || (last && STAGES.indexOf(last.stage) >= STAGES.indexOf(stage))) continue;
    found.push({ stage, step });
  }
  return found;
}
