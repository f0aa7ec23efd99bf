import { workOf } from '../operations/index.ts';
import type { Programme, ProgrammeStep } from './index.ts';

/** How the steps done under one programme stand under another. */
export interface Retarget {
  /** key of a step done → its key in the other programme */
  keys: Record<string, string>;
  /** the step the cohort stands at then; what comes before and is not done is left out */
  standsAt: string;
  /** steps before it that are not done and are not asked for any more */
  leftOut: string[];
}

/**
 * Carries a cohort from one programme to another midway: steps behind it, done or from before the record, are matched by key and operation, then
 * by operation in order, where what they wait for there is done as well; the cohort stands at the step
 * after the last one matched. Steps that were done and have no like stay in the record.
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
  for (const s of steps) match(s, (t) => t.key === s.key && workOf(t.operation) === workOf(s.operation));
  for (const s of steps) if (!keys[s.key]) match(s, (t) => workOf(t.operation) === workOf(s.operation));
  // a step counts only where everything it waits for there is done too: a sample measured in a basket
  // does not put plants into the ground row
  const stands = new Set<string>();
  for (const t of to.steps)
    if (taken.has(t.key) && t.after.every((a) => a.optional || stands.has(a.step))) stands.add(t.key);
  for (const [was, now] of Object.entries(keys)) if (!stands.has(now)) delete keys[was];
  const last = to.steps.reduce((at, t, i) => (stands.has(t.key) ? i : at), -1);
  const next = to.steps[Math.min(last + 1, to.steps.length - 1)];
  return {
    keys,
    standsAt: next.key,
    leftOut: to.steps.slice(0, last + 1).flatMap((t) => (stands.has(t.key) ? [] : [t.key])),
  };
}
