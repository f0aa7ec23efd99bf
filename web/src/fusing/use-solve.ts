import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Group, Member } from '@gonimos/core/fusing';
import type { FusingWorker } from '../workers/fusing';

/** How stems stand best together, worked out off the page; null while it is not known. */
export function useSolve(members: readonly Member[] | null, seed: number) {
  const worker = useRef<Worker | null>(null);
  const [part, setPart] = useState(0);
  const [answer, setAnswer] = useState<{ of: string; group: Group } | null>(null);
  const key = JSON.stringify({ members, seed });
  useEffect(() => {
    const q = JSON.parse(key) as { members: Member[] | null; seed: number };
    if (!q.members) return;
    const soon = setTimeout(() => {
      const it = new Worker(new URL('../workers/fusing.ts', import.meta.url), { type: 'module' });
      worker.current = it;
      setPart(0);
      const told = proxy((x: number) => Promise.resolve(setPart(x)));
      void wrap<FusingWorker>(it)
        .set(q.members!, q.seed, told)
        .then((group) => setAnswer({ of: key, group }));
    }, 200);
    return () => {
      clearTimeout(soon);
      worker.current?.terminate();
      worker.current = null;
    };
  }, [key]);
  return { group: answer?.of === key ? answer.group : null, part };
}
