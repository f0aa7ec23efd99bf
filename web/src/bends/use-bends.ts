import type { Asked } from '@gonimos/core/bends';
import { useWorkedOut } from '../common/use-worked-out';
import type { BendsWorker, Bent } from '../workers/bends';

const open = () => new Worker(new URL('../workers/bends.ts', import.meta.url), { type: 'module' });

/** Lines of a cohort, and how many stems are thought through; those before while others are worked out. */
export function useBends(seed: number, asked: readonly Asked[] | null) {
  const { answer, stale, done } = useWorkedOut<BendsWorker, { seed: number; asked: readonly Asked[] }, Bent>(
    asked && { seed, asked },
    open,
    (it, q, told) => it.recipes(q.seed, q.asked, told),
  );
  return { bent: answer, stale, done };
}
