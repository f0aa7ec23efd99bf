import type { Programme, ProgrammeStep } from './index.ts';

/** How the steps done under one programme stand under another. */
export interface Retarget {
  /** key of a step done → its key in the other programme */
  keys: Record<string, string>;
  /** the step the cohort stands at then; what comes before and is not done is left out */
  standsAt: string;
}

/**
 * Carries a cohort from one programme to another midway: steps done are matched by key and operation, then
 * by operation in order; the cohort stands at the step after the last one matched. Steps that were done
 * and have no like stay in the record and are not asked for again.
 */
export function retarget(from: Programme, done: readonly string[], to: Programme): Retarget {
  const keys: Record<string, string> = {};
  const taken = new Set<string>();
  const match = (s: ProgrammeStep, like: (t: ProgrammeStep) => boolean) => {
    const found = to.steps.find((t) => !taken.has(t.key) && like(t));
    if (!found) return;
    keys[s.key] = found.key;
    taken.add(found.key);
  };
  const steps = from.steps.filter((s) => done.includes(s.key));
  for (const s of steps) match(s, (t) => t.key === s.key && t.operation === s.operation);
  for (const s of steps) if (!keys[s.key]) match(s, (t) => t.operation === s.operation);
  const last = to.steps.reduce((at, t, i) => (taken.has(t.key) ? i : at), -1);
  const next = to.steps[Math.min(last + 1, to.steps.length - 1)];
  return { keys, standsAt: next.key };
}
