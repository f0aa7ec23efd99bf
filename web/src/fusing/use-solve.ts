import type { Group, Member } from '@gonimos/core/fusing';
import { useWorkedOut } from '../common/use-worked-out';
import type { FusingWorker } from '../workers/fusing';

const open = () => new Worker(new URL('../workers/fusing.ts', import.meta.url), { type: 'module' });

/** How stems stand best together; null while it is not known. */
export function useSolve(members: readonly Member[] | null, seed: number) {
  const { answer, stale, done } = useWorkedOut<
    FusingWorker,
    { members: readonly Member[]; seed: number },
    Group
  >(members && { members, seed }, open, (it, q, told) => it.set(q.members, q.seed, told));
  return { group: stale ? null : answer, part: done };
}
